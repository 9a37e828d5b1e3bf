-- What the house believes of its fish, what it serves and buys, and what it saw at the dock.

alter table house add column labour_per_hour numeric(8, 2) not null default 18.00
    check (labour_per_hour between 0 and 1000);
comment on column house.labour_per_hour is 'what an hour of work costs, in the currency of the house';
alter table house add column hemisphere varchar(5) not null default 'NORTH'
    check (hemisphere in ('NORTH', 'SOUTH'));

-- Edits of the catalogue are facts: the newest of a fish counts, the older ones tell who and when.
create table species_edit (
    id        bigint generated always as identity primary key,
    code      varchar(40)  not null check (code ~ '^[a-z0-9][a-z0-9-]*$'),
    kind      varchar(8)   not null check (kind in ('CHANGED', 'SHIPPED', 'REMOVED')),
    document  text,
    reason    varchar(200) not null default '',
    edited_by bigint       not null references person,
    edited_at timestamptz  not null,
    check ((kind = 'CHANGED') = (document is not null))
);
comment on column species_edit.kind is 'SHIPPED: back to the fish as it ships';
create index species_edit_code on species_edit (code, id desc);

create function a_fact_stays() returns trigger language plpgsql as $$
begin
    raise exception 'This is a fact: it is followed by a newer one, never changed or deleted';
end $$;
create trigger species_edit_is_a_fact before update or delete or truncate on species_edit
    for each statement execute function a_fact_stays();

create table dish (
    id             bigint generated always as identity primary key,
    name           varchar(80)    not null check (btrim(name) <> ''),
    venue_id       bigint         not null references venue,
    portion_mg     bigint         not null check (portion_mg between 5000 and 5000000),
    tolerance      numeric(4, 3)  not null check (tolerance between 0 and 0.3),
    specification  varchar(20)    not null
        check (specification in ('SKIN_ON', 'SKIN_ON_BONELESS', 'SKINLESS', 'BLOCKS')),
    served_whole   boolean        not null default false,
    price          numeric(12, 2) check (price between 0 and 100000),
    active         boolean        not null default true,
    version        integer        not null default 0
);
create unique index dish_name on dish (venue_id, lower(name)) where active;

-- The fish a dish may be made of: its own first, then what the kitchen takes in its place.
create table dish_fish (
    dish_id bigint      not null references dish on delete cascade,
    species varchar(40) not null,
    place   integer     not null check (place between 0 and 99),
    primary key (dish_id, species)
);

create table demand (
    dish_id  bigint        not null references dish on delete cascade,
    profile  varchar(10)   not null check (profile in ('MIDWEEK', 'WEEKEND', 'FUNCTION')),
    portions integer       not null check (portions between 0 and 5000),
    give     numeric(7, 1) not null check (give between 0 and 5000),
    per      varchar(8)    not null check (per in ('SERVICE', 'DAY', 'WEEK')),
    primary key (dish_id, profile)
);

-- What suppliers ask. A new list of a day replaces the older one of that day, line by line.
create table price (
    id           bigint generated always as identity primary key,
    supplier_id  bigint          not null references supplier,
    species      varchar(40)     not null,
    form         varchar(6)      not null check (form in ('WHOLE', 'FILLET')),
    state        varchar(20)     not null
        check (state in ('UNGUTTED', 'GUTTED', 'GUTTED_AND_GILLED', 'HEADED_AND_GUTTED')),
    from_mg      bigint          not null check (from_mg > 0),
    to_mg        bigint          not null,
    price_per_kg numeric(20, 10) not null check (price_per_kg > 0 and price_per_kg <= 100000),
    currency     varchar(3)      not null,
    valid_on     date            not null,
    imported_by  bigint          not null references person,
    imported_at  timestamptz     not null,
    check (from_mg < to_mg),
    unique (supplier_id, species, form, state, from_mg, to_mg, valid_on)
);
create index price_species on price (species, valid_on desc);

-- A list that was read but not confirmed yet: nothing of it counts.
create table price_preview (
    id          uuid primary key,
    supplier    varchar(80) not null check (btrim(supplier) <> ''),
    valid_on    date        not null,
    document    text        not null,
    read_by     bigint      not null references person,
    read_at     timestamptz not null
);

create table purchase_order (
    id          bigint generated always as identity primary key,
    supplier_id bigint       not null references supplier,
    venue_id    bigint       not null references venue,
    deliver_on  date         not null,
    status      varchar(8)   not null check (status in ('DRAFT', 'PLACED', 'CLOSED')),
    note        varchar(500) not null default '',
    made_by     bigint       not null references person,
    made_at     timestamptz  not null,
    placed_at   timestamptz,
    version     integer      not null default 0,
    check ((status = 'DRAFT') = (placed_at is null))
);

create table order_line (
    id           bigint generated always as identity primary key,
    client_id    uuid            not null unique,
    order_id     bigint          not null references purchase_order on delete cascade,
    species      varchar(40)     not null,
    form         varchar(6)      not null check (form in ('WHOLE', 'FILLET')),
    state        varchar(20)     not null
        check (state in ('UNGUTTED', 'GUTTED', 'GUTTED_AND_GILLED', 'HEADED_AND_GUTTED')),
    from_mg      bigint          not null check (from_mg > 0),
    to_mg        bigint          not null check (from_mg < to_mg),
    fish         integer         not null check (fish between 0 and 20000),
    mass_mg      bigint          not null check (mass_mg between 1 and 20000000000),
    price_per_kg numeric(20, 10) not null check (price_per_kg between 0 and 100000),
    currency     varchar(3)      not null,
    dish_id      bigint          references dish,
    surplus      numeric(8, 1)   not null default 0,
    surplus_home varchar(120)    not null default '',
    reason       varchar(300)    not null default '',
    check (form = 'FILLET' or fish > 0)
);
create index order_line_order on order_line (order_id);

-- The dock: what was seen, measured and decided when the fish came in.
alter table lot add column order_line_id  bigint references order_line;
alter table lot add column gross_mg       bigint check (gross_mg between 1 and 2000000000);
alter table lot add column temperature_dc integer check (temperature_dc between -600 and 3000);
alter table lot add column method         varchar(10) check (method in ('LINE', 'NET', 'TRAWL', 'TRAP', 'SPEAR', 'FARM'));
alter table lot add column area           varchar(80) not null default '';
alter table lot add column killing        varchar(10) check (killing in ('SPIKED', 'BLED', 'ICE', 'UNKNOWN'));
alter table lot add constraint lot_net_within_gross check (own_mg is null or gross_mg is null or own_mg <= gross_mg);
create index lot_order_line on lot (order_line_id);

create table lot_fish (
    lot_id    bigint     not null references lot,
    fish_no   integer    not null check (fish_no between 1 and 500),
    mass_mg   bigint     check (mass_mg between 1 and 2000000000),
    length_mm integer    check (length_mm between 1 and 10000),
    basis     varchar(5) check (basis in ('FORK', 'TOTAL')),
    primary key (lot_id, fish_no),
    check ((length_mm is null) = (basis is null))
);

-- Inspections are facts; the newest counts.
create table inspection (
    id           bigint generated always as identity primary key,
    client_id    uuid          not null unique,
    lot_id       bigint        not null references lot,
    eyes         smallint      check (eyes between 0 and 3),
    gills        smallint      check (gills between 0 and 3),
    skin         smallint      not null check (skin between 0 and 3),
    flesh        smallint      not null check (flesh between 0 and 3),
    belly        smallint      not null check (belly between 0 and 3),
    smell        smallint      not null check (smell between 0 and 3),
    demerits     numeric(5, 4) not null check (demerits between 0 and 1),
    days_left    numeric(4, 1) not null check (days_left between 0 and 60),
    proposal     varchar(6)    not null check (proposal in ('RAW', 'COOK', 'POT', 'REFUSE')),
    decision     varchar(6)    not null check (decision in ('RAW', 'COOK', 'POT', 'REFUSE')),
    reason       varchar(200)  not null default '',
    inspected_by bigint        not null references person,
    inspected_at timestamptz   not null,
    -- who decides otherwise than proposed says why
    check (decision = proposal or btrim(reason) <> '')
);
create index inspection_lot on inspection (lot_id, id desc);
create trigger inspection_is_a_fact before update or delete or truncate on inspection
    for each statement execute function a_fact_stays();

create table evidence (
    id         bigint generated always as identity primary key,
    client_id  uuid         not null unique,
    lot_id     bigint       not null references lot,
    kind       varchar(10)  not null check (kind in ('HOOK_MARK', 'LABEL', 'INVOICE', 'DAMAGE', 'OTHER')),
    name       varchar(120) not null,
    media_type varchar(20)  not null check (media_type in ('image/jpeg', 'image/png', 'application/pdf')),
    content    bytea        not null check (octet_length(content) between 1 and 6291456),
    thumbnail  bytea,
    added_by   bigint       not null references person,
    added_at   timestamptz  not null
);
create index evidence_lot on evidence (lot_id, id);

create table claim (
    id         bigint generated always as identity primary key,
    client_id  uuid           not null unique,
    lot_id     bigint         not null references lot,
    kind       varchar(12)    not null check (kind in ('SHORT', 'QUALITY', 'WRONG_FISH', 'WARM', 'PRICE', 'OTHER')),
    mass_mg    bigint         check (mass_mg between 1 and 2000000000),
    amount     numeric(14, 4) not null check (amount > 0),
    currency   varchar(3)     not null,
    reason     varchar(300)   not null check (btrim(reason) <> ''),
    status     varchar(8)     not null check (status in ('ASKED', 'CREDITED', 'DROPPED')),
    made_by    bigint         not null references person,
    made_at    timestamptz    not null,
    version    integer        not null default 0
);
create index claim_lot on claim (lot_id, id);

create table length_rule (
    id         bigint generated always as identity primary key,
    species    varchar(40)  not null,
    basis      varchar(5)   not null check (basis in ('FORK', 'TOTAL')),
    minimum_mm integer      not null check (minimum_mm between 1 and 10000),
    source     varchar(160) not null check (btrim(source) <> ''),
    dated      date         not null,
    expires    date         not null,
    kept_by    bigint       not null references person,
    check (expires >= dated)
);
create unique index length_rule_species on length_rule (species, basis);
