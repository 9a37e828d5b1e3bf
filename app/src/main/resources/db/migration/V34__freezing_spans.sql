-- A freezing record is a span with a place and a core at either end, not a number of hours.
alter table freezing_record
    add column froze         varchar(10) check (froze in ('HOUSE', 'SUPPLIER', 'VESSEL', 'UNPROVED')),
    add column frozen_from   timestamptz,
    add column frozen_to     timestamptz,
    add column core_after_dc integer check (core_after_dc between -1000 and -100),
    add column place         varchar(80) not null default '',
    add column paper         varchar(160) not null default '',
    add column caught_on     date;

-- What was written down as hours ended when it was written down. Hours that began before the fish
-- was here cannot have been the house's own and have no paper: they open nothing.
alter table freezing_record disable trigger freezing_record_is_a_fact;
update freezing_record r
set frozen_to = r.made_at,
    frozen_from = r.made_at - r.hours * interval '1 hour',
    core_after_dc = r.core_dc,
    froze = case
        when r.made_at - r.hours * interval '1 hour' >= l.received_at then 'HOUSE'
        else 'UNPROVED' end
from lot l
where l.id = r.lot_id;
alter table freezing_record enable trigger freezing_record_is_a_fact;

alter table freezing_record
    alter column froze set not null,
    alter column frozen_from set not null,
    alter column frozen_to set not null,
    alter column core_after_dc set not null,
    drop column hours,
    add constraint freezing_record_span check (frozen_from <= frozen_to and frozen_to <= made_at),
    add constraint freezing_record_paper
        check (froze in ('HOUSE', 'UNPROVED') or btrim(paper) <> '');
