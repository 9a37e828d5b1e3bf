-- Kettles of a venue: the newest of a name counts.
create table kettle (
    id          bigint generated always as identity primary key,
    venue_id    bigint      not null references venue,
    name        text        not null check (btrim(name) <> ''),
    litres      numeric     not null check (litres between 1 and 500),
    centimetres integer     not null check (centimetres between 10 and 150),
    watts       integer     not null check (watts between 500 and 60000),
    retired     boolean     not null,
    kept_by     bigint      not null references person,
    kept_at     timestamptz not null
);
create index kettle_venue on kettle (venue_id, name, id);

-- A batch that was put on: what it is made of lies with its making. The method is kept as it was.
create table pot_batch (
    id          bigint generated always as identity primary key,
    client_id   uuid        not null unique,
    making_id   bigint      not null unique references making,
    kettle_id   bigint      not null references kettle,
    method_body text        not null check (btrim(method_body) <> ''),
    answers     text        not null,
    litres      numeric     not null check (litres > 0 and litres <= 1000),
    wanted_at   timestamptz,
    started_by  bigint      not null references person,
    started_at  timestamptz not null
);

-- What was begun and done; a step is begun once and done once.
create table pot_mark (
    id       bigint generated always as identity primary key,
    batch_id bigint      not null references pot_batch,
    step     text        not null check (btrim(step) <> ''),
    what     text        not null check (what in ('BEGUN', 'DONE')),
    made_by  bigint      not null references person,
    made_at  timestamptz not null,
    unique (batch_id, step, what)
);

-- What a probe showed; typed ones have the moment that was typed. One may strike another that was wrong.
create table pot_reading (
    id        bigint generated always as identity primary key,
    client_id uuid        not null unique,
    batch_id  bigint      not null references pot_batch,
    tenths    integer     not null check (tenths between -600 and 3000),
    read_at   timestamptz not null,
    by_probe  boolean     not null,
    strikes   bigint      references pot_reading,
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);
create index pot_reading_batch on pot_reading (batch_id, id);

-- Where a batch stands to cool, and whether the probe of the house is in it.
create table pot_stand (
    id       bigint generated always as identity primary key,
    batch_id bigint      not null references pot_batch,
    stands   text        not null check (stands in ('ROOM', 'FRIDGE', 'ICE_BATH', 'BLAST')),
    probe    boolean     not null,
    made_by  bigint      not null references person,
    made_at  timestamptz not null
);
create index pot_stand_batch on pot_stand (batch_id, id);

-- What a batch gave.
create table pot_result (
    batch_id bigint primary key references pot_batch,
    litres   numeric     not null check (litres > 0 and litres <= 1000),
    bones_mg bigint      not null check (bones_mg > 0),
    jelly    text        not null check (jelly in ('SET', 'SOFT', 'LOOSE', 'UNKNOWN')),
    look     text        not null check (look in ('CLEAR', 'HAZY', 'CLOUDY')),
    taste    text        not null,
    made_by  bigint      not null references person,
    made_at  timestamptz not null
);

create trigger kettle_is_a_fact before update or delete or truncate on kettle
    for each statement execute function a_fact_stays();
create trigger pot_batch_is_a_fact before update or delete or truncate on pot_batch
    for each statement execute function a_fact_stays();
create trigger pot_mark_is_a_fact before update or delete or truncate on pot_mark
    for each statement execute function a_fact_stays();
create trigger pot_reading_is_a_fact before update or delete or truncate on pot_reading
    for each statement execute function a_fact_stays();
create trigger pot_stand_is_a_fact before update or delete or truncate on pot_stand
    for each statement execute function a_fact_stays();
create trigger pot_result_is_a_fact before update or delete or truncate on pot_result
    for each statement execute function a_fact_stays();
