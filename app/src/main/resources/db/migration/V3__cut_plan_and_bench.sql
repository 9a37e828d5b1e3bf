-- The cut plan and the bench: trays, schools, the house's ways, pieces in a row, notes.

create table tray (
    id      bigint generated always as identity primary key,
    name    varchar(80) not null check (btrim(name) <> ''),
    mass_mg bigint      not null check (mass_mg between 1000 and 50000000),
    active  boolean     not null default true
);
create unique index tray_name on tray (lower(name)) where active;

-- A part whose every reading is a piece of its own, such as portions, numbers its pieces from 1.
alter table weighing add column piece_no integer not null default 0 check (piece_no between 0 and 500);
alter table weighing add column tray_id bigint references tray;
-- A weighing that waited in a browser keeps the moment it was taken; this is when it arrived.
alter table weighing add column stored_at timestamptz not null default now();
comment on column weighing.piece_no is 'which piece of a part weighed in a row, from 1; 0 for all others';
drop index weighing_first;
create unique index weighing_first on weighing (part_id, fish_no, piece_no) where supersedes is null;

alter table lot_part add column venue_id bigint references venue;
alter table lot_part add column in_a_row boolean not null default false;

-- The answer of one lot to each school its fish asks about, with the reason.
create table lot_school (
    lot_id bigint       not null references lot,
    school varchar(40)  not null,
    choice varchar(40)  not null,
    reason varchar(200) not null default '',
    set_by bigint       not null references person,
    set_at timestamptz  not null,
    primary key (lot_id, school)
);

-- The answer of the house, for lots to come.
create table house_school (
    school varchar(40)  primary key,
    choice varchar(40)  not null,
    reason varchar(200) not null check (btrim(reason) <> ''),
    set_by bigint       not null references person,
    set_at timestamptz  not null
);

-- The house's way for a species and size: answers and purposes, newest first.
create table house_way (
    id       bigint generated always as identity primary key,
    species  varchar(40)  not null,
    from_mg  bigint       not null check (from_mg >= 0),
    to_mg    bigint       not null check (to_mg > from_mg),
    name     varchar(80)  not null check (btrim(name) <> ''),
    document text         not null,
    saved_by bigint       not null references person,
    saved_at timestamptz  not null
);
create index house_way_species on house_way (species, saved_at desc);

create table bench_note (
    id         uuid         primary key,
    lot_id     bigint       not null references lot,
    part_id    bigint       references lot_part,
    note       varchar(500) not null check (btrim(note) <> ''),
    written_by bigint       not null references person,
    written_at timestamptz  not null
);
create index bench_note_lot on bench_note (lot_id, written_at);

-- When work on a lot began, so that its first step has a beginning.
create table bench_opening (
    lot_id    bigint      primary key references lot,
    opened_by bigint      not null references person,
    opened_at timestamptz not null
);
