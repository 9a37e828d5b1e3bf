-- The raw gate is closed until a record meets a pair of the house's table, or a named exemption is attached.
create table freezing_rule (
    id           bigint generated always as identity primary key,
    at_most_dc   integer not null check (at_most_dc between -1000 and -100),
    hours        integer not null check (hours between 1 and 1680),
    thickest_mm  integer check (thickest_mm between 1 and 10000),
    source       text    not null check (btrim(source) <> ''),
    dated        date    not null,
    expires      date    not null check (expires >= dated),
    kept_by      bigint  not null references person
);

create table freezing_record (
    id           bigint generated always as identity primary key,
    client_id    uuid        not null unique,
    lot_id       bigint      not null references lot,
    part         text        check (btrim(part) <> ''),
    core_dc      integer     not null check (core_dc between -1000 and -100),
    hours        integer     not null check (hours between 1 and 1680),
    thickness_mm integer     check (thickness_mm between 1 and 10000),
    made_by      bigint      not null references person,
    made_at      timestamptz not null
);
create index freezing_record_lot on freezing_record (lot_id);

create table raw_exemption (
    id        bigint generated always as identity primary key,
    client_id uuid        not null unique,
    lot_id    bigint      not null references lot,
    name      text        not null check (btrim(name) <> ''),
    evidence  text        not null check (btrim(evidence) <> ''),
    made_by   bigint      not null references person,
    made_at   timestamptz not null
);
create index raw_exemption_lot on raw_exemption (lot_id);

-- Raw, cured or underdone: its fish must have passed the gate.
alter table dish add column raw boolean not null default false;

-- Without a measured temperature nothing is said about days.
alter table inspection alter column days_left drop not null;

create trigger freezing_record_is_a_fact before update or delete or truncate on freezing_record
    for each statement execute function a_fact_stays();
create trigger raw_exemption_is_a_fact before update or delete or truncate on raw_exemption
    for each statement execute function a_fact_stays();
