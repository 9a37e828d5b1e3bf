-- Kneaded butter and roux in packs: made once, taken a pack at a time, used by a day.
create table dough_pack (
    id        bigint generated always as identity primary key,
    client_id uuid        not null unique,
    venue_id  bigint      not null references venue,
    thickener text        not null check (thickener in ('KNEADED_BUTTER', 'ROUX')),
    packs     integer     not null check (packs between 1 and 1000),
    pack_mg   bigint      not null check (pack_mg > 0),
    frozen    boolean     not null,
    place     text        not null check (btrim(place) <> ''),
    use_by    date        not null,
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);
create table dough_taken (
    id        bigint generated always as identity primary key,
    client_id uuid        not null unique,
    dough_id  bigint      not null references dough_pack,
    packs     integer     not null check (packs between 1 and 1000),
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);
create index dough_taken_of on dough_taken (dough_id);
create trigger dough_pack_is_a_fact before update or delete or truncate on dough_pack
    for each statement execute function a_fact_stays();
create trigger dough_taken_is_a_fact before update or delete or truncate on dough_taken
    for each statement execute function a_fact_stays();
