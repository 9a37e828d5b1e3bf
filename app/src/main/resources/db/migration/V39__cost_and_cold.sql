-- What something on a shelf carries has parts: the fish by its lots, what else went in (additions), work and fuel.
-- What was put away before this counted neither; it says so as nothing.
alter table larder_item
    add column work numeric not null default 0 check (work >= 0),
    add column fuel numeric not null default 0 check (fuel >= 0);
alter table larder_entry
    add column work numeric default 0 check (work >= 0),
    add column fuel numeric default 0 check (fuel >= 0);

-- Bones carry what their lots' costing gives them, here as on the shelf: a price of their own is no longer asked.
alter table pot_price drop column bones;

-- What comes hot onto a shelf without a pot: a reading says that it is cold, and when it came off the heat.
create table larder_chilled (
    id         bigint generated always as identity primary key,
    item_id    bigint      not null references larder_item,
    tenths     integer     not null,
    off_heat   timestamptz not null,
    instrument text        not null check (btrim(instrument) <> ''),
    read_by    bigint      not null references person,
    read_at    timestamptz not null,
    check (off_heat <= read_at)
);
create index larder_chilled_item on larder_chilled (item_id, id);
create trigger larder_chilled_is_a_fact before update or delete or truncate on larder_chilled
    for each statement execute function a_fact_stays();
