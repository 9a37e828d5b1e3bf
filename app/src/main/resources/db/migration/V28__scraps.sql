-- What other stations have left over for a stock: it is used in a batch or thrown, once.
create table pot_scrap (
    id        bigint generated always as identity primary key,
    client_id uuid        not null unique,
    venue_id  bigint      not null references venue,
    name      text        not null check (btrim(name) <> ''),
    mass_mg   bigint      not null check (mass_mg > 0),
    allergens text        not null,
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);
create table pot_scrap_end (
    scrap_id bigint primary key references pot_scrap,
    batch_id bigint      references pot_batch,
    made_by  bigint      not null references person,
    made_at  timestamptz not null
);
create trigger pot_scrap_is_a_fact before update or delete or truncate on pot_scrap
    for each statement execute function a_fact_stays();
create trigger pot_scrap_end_is_a_fact before update or delete or truncate on pot_scrap_end
    for each statement execute function a_fact_stays();
