-- The mark of the house stands on its labels, so that a label of another house is known.
alter table house add column mark text not null default upper(substr(md5(gen_random_uuid()::text), 1, 4));

-- What was put on a shelf: a part as it was cut, or what was made of some.
create table larder_item (
    id         bigint generated always as identity primary key,
    client_id  uuid        not null unique,
    code       text        not null unique check (code ~ '^[0-9A-HJKMNP-TV-Z]{5}$'),
    name       text        not null check (btrim(name) <> ''),
    use_code   text,
    mass_mg    bigint      not null check (mass_mg > 0),
    units      integer     not null check (units between 0 and 100000),
    additions  numeric     not null check (additions >= 0),
    allergens  text        not null,
    bones      boolean     not null,
    may_raw    boolean     not null,
    estimated  boolean     not null,
    made       date        not null,
    use_by     date        not null check (use_by >= made),
    state      text        not null check (state in ('RAW', 'COOKED', 'FROZEN', 'THAWED')),
    venue_id   bigint      not null references venue,
    place      text        not null check (btrim(place) <> ''),
    keeper_id  bigint      not null references person,
    made_by    bigint      not null references person,
    made_at    timestamptz not null
);

-- What happened to it since.
create table larder_entry (
    id         bigint generated always as identity primary key,
    client_id  uuid        not null unique,
    item_id    bigint      not null references larder_item,
    kind       text        not null check (kind in ('TAKEN', 'WEIGHED', 'MOVED', 'SENT', 'TURNED')),
    what_for   text        check (what_for in ('EATEN', 'MADE_INTO', 'SOLD', 'COMPOST', 'BIN', 'MISSING')),
    mass_mg    bigint      check (mass_mg > 0),
    units      integer     check (units >= 0),
    additions  numeric     check (additions >= 0),
    reason     text        not null,
    venue_id   bigint      references venue,
    place      text        check (btrim(place) <> ''),
    keeper_id  bigint      references person,
    state      text        check (state in ('RAW', 'COOKED', 'FROZEN', 'THAWED')),
    use_by     date,
    into_item  bigint      references larder_item,
    made_by    bigint      not null references person,
    made_at    timestamptz not null,
    check ((kind = 'TAKEN') = (what_for is not null)),
    check (kind <> 'TAKEN' or (mass_mg is not null and units is not null and additions is not null)),
    check (what_for is distinct from 'MADE_INTO' or into_item is not null),
    check (what_for is null or what_for in ('EATEN', 'MADE_INTO', 'SOLD') or btrim(reason) <> ''),
    check (kind <> 'WEIGHED' or mass_mg is not null),
    check (kind <> 'SENT' or venue_id is not null),
    check (kind <> 'MOVED' or (venue_id is not null and place is not null and keeper_id is not null)),
    check (kind <> 'TURNED' or (state is not null and use_by is not null))
);
create index larder_entry_item on larder_entry (item_id, id);

-- Which grams of which lots went where: IN from the board, FROM another item, and out of it.
create table larder_source (
    id         bigint generated always as identity primary key,
    item_id    bigint not null references larder_item,
    entry_id   bigint references larder_entry,
    lot_id     bigint not null references lot,
    slot       text   not null,
    milligrams bigint not null check (milligrams > 0),
    direction  text   not null check (direction in ('IN', 'FROM', 'EATEN', 'SOLD', 'WASTED', 'INTO')),
    check ((entry_id is null) = (direction in ('IN', 'FROM')))
);
create index larder_source_item on larder_source (item_id, id);
create index larder_source_lot on larder_source (lot_id, slot);

create trigger larder_item_is_a_fact before update or delete or truncate on larder_item
    for each statement execute function a_fact_stays();
create trigger larder_entry_is_a_fact before update or delete or truncate on larder_entry
    for each statement execute function a_fact_stays();
create trigger larder_source_is_a_fact before update or delete or truncate on larder_source
    for each statement execute function a_fact_stays();

-- The house's own uses: the newest of each code counts; one that is retired stays to be read.
create table house_use (
    id        bigint generated always as identity primary key,
    code      text        not null check (code ~ '^[a-z0-9-]{1,60}$'),
    body      text        not null check (btrim(body) <> ''),
    retired   boolean     not null,
    kept_by   bigint      not null references person,
    kept_at   timestamptz not null
);
create index house_use_code on house_use (code, id);

-- What a venue can sell or keep of a use in a day, and the room it has: the newest counts.
create table venue_room (
    id        bigint generated always as identity primary key,
    venue_id  bigint      not null references venue,
    what      text        not null check (btrim(what) <> ''),
    amount    integer     not null check (amount between 0 and 100000),
    kept_by   bigint      not null references person,
    kept_at   timestamptz not null
);
create index venue_room_venue on venue_room (venue_id, what, id);

-- What was planned to be made; what was made of it is an item, or it was dropped with a reason.
create table making (
    id         bigint generated always as identity primary key,
    client_id  uuid        not null unique,
    use_code   text        not null,
    name       text        not null,
    venue_id   bigint      not null references venue,
    units      integer     not null check (units between 1 and 100000),
    planned_by bigint      not null references person,
    planned_at timestamptz not null
);
create table making_source (
    id         bigint generated always as identity primary key,
    making_id  bigint not null references making,
    lot_id     bigint not null references lot,
    slot       text   not null,
    item_id    bigint references larder_item,
    milligrams bigint not null check (milligrams > 0)
);
create index making_source_making on making_source (making_id);
create table making_end (
    making_id  bigint primary key references making,
    item_id    bigint references larder_item,
    reason     text   not null,
    ended_by   bigint not null references person,
    ended_at   timestamptz not null,
    check (item_id is not null or btrim(reason) <> '')
);
create trigger making_is_a_fact before update or delete or truncate on making
    for each statement execute function a_fact_stays();
create trigger making_end_is_a_fact before update or delete or truncate on making_end
    for each statement execute function a_fact_stays();
