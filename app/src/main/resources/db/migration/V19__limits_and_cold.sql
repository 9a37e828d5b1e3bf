-- The house's own limits: the newest of each counts, the older ones stay to be read.
create table house_limit (
    id        bigint generated always as identity primary key,
    which     text        not null check (btrim(which) <> ''),
    value     integer     not null,
    source    text        not null check (btrim(source) <> ''),
    dated     date        not null,
    kept_by   bigint      not null references person
);
create index house_limit_which on house_limit (which, id);

-- A time a lot stood warm; they add up.
create table lot_warm (
    id        bigint generated always as identity primary key,
    client_id uuid        not null unique,
    lot_id    bigint      not null references lot,
    minutes   integer     not null check (minutes between 1 and 1440),
    why       text        not null,
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);
create index lot_warm_lot on lot_warm (lot_id);

-- What a probe in the core read, a line for each reading.
alter table freezing_record add column curve text check (btrim(curve) <> '');

create trigger house_limit_is_a_fact before update or delete or truncate on house_limit
    for each statement execute function a_fact_stays();
create trigger lot_warm_is_a_fact before update or delete or truncate on lot_warm
    for each statement execute function a_fact_stays();
