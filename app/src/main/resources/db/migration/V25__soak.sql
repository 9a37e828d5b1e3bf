-- Fish that lies in a marinade or a cure; its times are worked out from when it went in.
create table soak (
    id          bigint generated always as identity primary key,
    client_id   uuid        not null unique,
    marinade    text        not null check (btrim(marinade) <> ''),
    lot_id      bigint      not null references lot,
    what        text        not null check (btrim(what) <> ''),
    millimetres numeric     not null check (millimetres between 2 and 200),
    measured    boolean     not null,
    mass_mg     bigint      not null check (mass_mg > 0),
    vessel      text        not null check (vessel in ('BAG', 'TRAY')),
    begun_by    bigint      not null references person,
    begun_at    timestamptz not null
);
create table soak_end (
    soak_id  bigint primary key references soak,
    ended_by bigint      not null references person,
    ended_at timestamptz not null
);
create trigger soak_is_a_fact before update or delete or truncate on soak
    for each statement execute function a_fact_stays();
create trigger soak_end_is_a_fact before update or delete or truncate on soak_end
    for each statement execute function a_fact_stays();
