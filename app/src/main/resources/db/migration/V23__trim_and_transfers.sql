-- What was cut off a piece that was weighed again: its money stays with the piece.
alter table larder_entry add column trim_mg bigint not null default 0 check (trim_mg >= 0);
alter table larder_entry add check (kind = 'WEIGHED' or trim_mg = 0);

-- Something that is to be made elsewhere: this part of it went on its way under a label.
create table making_way (
    id        bigint generated always as identity primary key,
    making_id bigint      not null references making,
    lot_id    bigint      not null references lot,
    slot      text        not null check (btrim(slot) <> ''),
    item_id   bigint      not null references larder_item,
    sent_by   bigint      not null references person,
    sent_at   timestamptz not null,
    unique (making_id, lot_id, slot)
);
create trigger making_way_is_a_fact before update or delete or truncate on making_way
    for each statement execute function a_fact_stays();
