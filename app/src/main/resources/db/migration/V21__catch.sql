-- What a paper or photo shows of the catch, with commas between.
alter table evidence add column shows text not null default '';
alter table evidence drop constraint if exists evidence_kind_check;
alter table evidence add constraint evidence_kind_check
    check (kind in ('HOOK_MARK', 'LABEL', 'INVOICE', 'TAG', 'DAMAGE', 'OTHER'));

-- The house's own rules about a catch: seasons, bag limits, methods, tags.
create table catch_rule (
    id        bigint generated always as identity primary key,
    species   text    not null check (btrim(species) <> ''),
    kind      text    not null check (kind in ('CLOSED_SEASON', 'BAG_LIMIT', 'METHOD', 'TAG')),
    area      text    not null,
    method    text,
    from_day  text    check (from_day ~ '^--[0-9]{2}-[0-9]{2}$'),
    to_day    text    check (to_day ~ '^--[0-9]{2}-[0-9]{2}$'),
    most      integer check (most between 0 and 10000),
    source    text    not null check (btrim(source) <> ''),
    dated     date    not null,
    expires   date    not null check (expires >= dated),
    kept_by   bigint  not null references person
);
create index catch_rule_species on catch_rule (species);
