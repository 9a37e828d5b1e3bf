-- Who works where and when: the newest row of a person counts. No venue means every venue.
create table clock_worker (
    id          bigint generated always as identity primary key,
    person_id   bigint      not null references person,
    venue_id    bigint      references venue,
    knife       boolean     not null,
    stove       boolean     not null,
    from_minute integer     not null check (from_minute between 0 and 1439),
    to_minute   integer     not null check (to_minute between 0 and 1439),
    days        text        not null check (days ~ '^[1-7]{1,7}$'),
    retired     boolean     not null,
    kept_by     bigint      not null references person,
    kept_at     timestamptz not null
);
create index clock_worker_person on clock_worker (person_id, id);

-- The services of a venue: the newest row of a name counts.
create table clock_service (
    id        bigint generated always as identity primary key,
    venue_id  bigint      not null references venue,
    name      text        not null check (btrim(name) <> ''),
    at_minute integer     not null check (at_minute between 0 and 1439),
    days      text        not null check (days ~ '^[1-7]{1,7}$'),
    retired   boolean     not null,
    kept_by   bigint      not null references person,
    kept_at   timestamptz not null
);
create index clock_service_venue on clock_service (venue_id, name, id);

-- Something else that takes time, in words.
create table clock_task (
    id        bigint generated always as identity primary key,
    client_id uuid        not null unique,
    venue_id  bigint      not null references venue,
    name      text        not null check (btrim(name) <> ''),
    minutes   integer     not null check (minutes between 1 and 1440),
    skill     text        not null check (skill in ('KNIFE', 'STOVE', 'ANY', 'NONE')),
    wanted_at timestamptz not null,
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);

-- What was begun, done or dropped: each once.
create table clock_mark (
    id      bigint generated always as identity primary key,
    task    text        not null check (btrim(task) <> ''),
    what    text        not null check (what in ('BEGUN', 'DONE', 'DROPPED')),
    made_by bigint      not null references person,
    made_at timestamptz not null,
    unique (task, what)
);

-- Where somebody put a task; the newest counts, and one without a moment takes the pin out.
create table clock_pin (
    id        bigint generated always as identity primary key,
    task      text        not null check (btrim(task) <> ''),
    starts_at timestamptz,
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);
create index clock_pin_task on clock_pin (task, id);

-- Addresses a calendar program reads; only their hashes are kept, and the newest of a person counts.
create table clock_feed (
    id         bigint generated always as identity primary key,
    person_id  bigint      not null references person,
    token_hash text        not null unique,
    ended      boolean     not null,
    made_at    timestamptz not null
);
create index clock_feed_person on clock_feed (person_id, id);

create trigger clock_worker_is_a_fact before update or delete or truncate on clock_worker
    for each statement execute function a_fact_stays();
create trigger clock_service_is_a_fact before update or delete or truncate on clock_service
    for each statement execute function a_fact_stays();
create trigger clock_task_is_a_fact before update or delete or truncate on clock_task
    for each statement execute function a_fact_stays();
create trigger clock_mark_is_a_fact before update or delete or truncate on clock_mark
    for each statement execute function a_fact_stays();
create trigger clock_pin_is_a_fact before update or delete or truncate on clock_pin
    for each statement execute function a_fact_stays();
create trigger clock_feed_is_a_fact before update or delete or truncate on clock_feed
    for each statement execute function a_fact_stays();
