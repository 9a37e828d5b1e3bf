-- The first slice: house, people, suppliers, lots, parts and weighings.
-- Masses are whole milligrams, prices are money per kilogram with all their digits.

create table house (
    id          smallint     primary key default 1 check (id = 1),
    name        varchar(80)  not null check (btrim(name) <> ''),
    currency    varchar(3)      not null check (currency ~ '^[A-Z]{3}$'),
    unit_system varchar(10)  not null check (unit_system in ('METRIC', 'IMPERIAL')),
    time_zone   varchar(40)  not null,
    version     integer      not null default 0
);

create table venue (
    id   bigint generated always as identity primary key,
    name varchar(80) not null check (btrim(name) <> '')
);
create unique index venue_name on venue (lower(name));

create table supplier (
    id   bigint generated always as identity primary key,
    name varchar(80) not null check (btrim(name) <> '')
);
create unique index supplier_name on supplier (lower(name));

create table person (
    id            bigint generated always as identity primary key,
    sign_in       varchar(40)  not null check (sign_in ~ '^[a-z0-9][a-z0-9._-]*$'),
    name          varchar(80)  not null check (btrim(name) <> ''),
    role          varchar(12)  not null check (role in ('OWNER', 'SOUS_CHEF', 'BUTCHER', 'LEARNER')),
    password_hash varchar(120) not null,
    active        boolean      not null default true,
    created_at    timestamptz  not null,
    version       integer      not null default 0
);
create unique index person_sign_in on person (sign_in);

-- Every try to sign in, so that guessing can be slowed down. Old rows are swept.
create table sign_in_try (
    id        bigint generated always as identity primary key,
    sign_in   varchar(40) not null,
    address   varchar(64) not null,
    tried_at  timestamptz not null,
    succeeded boolean     not null
);
create index sign_in_try_name on sign_in_try (sign_in, tried_at);
create index sign_in_try_address on sign_in_try (address, tried_at);

-- Only hashes of tokens are kept.
create table api_token (
    token_hash varchar(64) primary key,
    person_id  bigint      not null references person,
    created_at timestamptz not null,
    expires_at timestamptz not null check (expires_at > created_at)
);
create index api_token_person on api_token (person_id);

create table welcome_link (
    token_hash varchar(64) primary key,
    created_at timestamptz not null,
    used_at    timestamptz
);

create table lot (
    id                bigint generated always as identity primary key,
    client_id         uuid           not null,
    species           varchar(40)    not null,
    state             varchar(20)    not null
        check (state in ('UNGUTTED', 'GUTTED', 'GUTTED_AND_GILLED', 'HEADED_AND_GUTTED')),
    fish_count        integer        not null check (fish_count between 1 and 500),
    invoiced_mg       bigint         not null check (invoiced_mg between 1 and 2000000000),
    own_mg            bigint         check (own_mg between 1 and 2000000000),
    price_per_kg      numeric(20, 10) not null check (price_per_kg between 0 and 100000),
    currency          varchar(3)        not null,
    supplier_id       bigint         not null references supplier,
    venue_id          bigint         not null references venue,
    origin            varchar(8)     not null check (origin in ('WILD', 'FARMED')),
    landed_on         date           not null,
    received_at       timestamptz    not null,
    received_by       bigint         not null references person,
    portion_target_mg bigint         not null check (portion_target_mg between 1000 and 5000000),
    costing_school    varchar(20)    not null
        check (costing_school in ('ALL_ON_THE_MAINS', 'BY_PRODUCT_CREDIT', 'RELATIVE_VALUE', 'BY_WEIGHT')),
    note              varchar(500)   not null default '',
    finished_at       timestamptz,
    finished_by       bigint         references person,
    version           integer        not null default 0,
    check ((finished_at is null) = (finished_by is null)),
    check (finished_at is null or finished_at >= received_at)
);
create unique index lot_client_id on lot (client_id);
create index lot_received on lot (received_at desc);

create table lot_part (
    id           bigint generated always as identity primary key,
    lot_id       bigint      not null references lot,
    slot         varchar(60) not null,
    kind         varchar(40) not null,
    name         varchar(80) not null check (btrim(name) <> ''),
    number       integer     not null check (number between 1 and 99),
    planned      boolean     not null,
    skipped      boolean     not null default false,
    parent_id    bigint      references lot_part,
    purpose      varchar(12)
        check (purpose in ('PLATE', 'SECOND_PLATE', 'POT', 'HOLD', 'COMPOST', 'BIN')),
    becomes      varchar(120) not null default '',
    value_per_kg numeric(20, 10) check (value_per_kg between 0 and 100000),
    hold_until   date,
    hold_place   varchar(80),
    hold_keeper  bigint      references person,
    version      integer     not null default 0,
    unique (lot_id, slot),
    unique (lot_id, number),
    check (parent_id <> id),
    -- what is kept for later has a date, a place and an owner; else it is waste that has not happened yet
    check (purpose is distinct from 'HOLD'
           or (hold_until is not null and btrim(coalesce(hold_place, '')) <> '' and hold_keeper is not null))
);

-- Weighings are facts. A correction supersedes with a reason; nothing is changed or deleted.
create table weighing (
    id             uuid        primary key,
    part_id        bigint      not null references lot_part,
    fish_no        integer     not null check (fish_no between 0 and 500),
    kind           varchar(10) not null check (kind in ('TAKEN', 'CORRECTED', 'TAKEN_BACK')),
    mass_mg        bigint      check (mass_mg between 1 and 2000000000),
    source         varchar(6)  not null check (source in ('SCALE', 'TYPED')),
    gross_mg       bigint,
    tare_mg        bigint,
    readability_mg bigint      check (readability_mg > 0),
    typed          varchar(60),
    supersedes     uuid        references weighing,
    reason         varchar(200) not null default '',
    taken_by       bigint      not null references person,
    taken_at       timestamptz not null,
    check ((kind = 'TAKEN_BACK') = (mass_mg is null)),
    check (source <> 'SCALE' or kind = 'TAKEN_BACK' or (gross_mg is not null and tare_mg is not null)),
    check (kind = 'TAKEN' or supersedes is not null),
    check (kind <> 'CORRECTED' or btrim(reason) <> '')
);
comment on column weighing.fish_no is 'which fish of the lot, from 1; 0 is all fish together';
-- The history of one part of one fish is a chain: one first link, and each link is followed once.
create unique index weighing_first on weighing (part_id, fish_no) where supersedes is null;
create unique index weighing_follows on weighing (supersedes) where supersedes is not null;
create index weighing_part on weighing (part_id, taken_at);

create function weighing_is_a_fact() returns trigger language plpgsql as $$
begin
    raise exception 'A weighing is a fact: it is superseded, never changed or deleted';
end $$;
create trigger weighing_is_a_fact before update or delete on weighing
    for each statement execute function weighing_is_a_fact();
create trigger weighing_is_not_truncated before truncate on weighing
    for each statement execute function weighing_is_a_fact();

-- The tables of Spring Session, so that any instance can serve any request.
create table spring_session (
    primary_id            char(36)     not null constraint spring_session_pk primary key,
    session_id            char(36)     not null,
    creation_time         bigint       not null,
    last_access_time      bigint       not null,
    max_inactive_interval int          not null,
    expiry_time           bigint       not null,
    principal_name        varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);
create table spring_session_attributes (
    session_primary_id char(36)     not null references spring_session on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea        not null,
    constraint spring_session_attributes_pk primary key (session_primary_id, attribute_name)
);
