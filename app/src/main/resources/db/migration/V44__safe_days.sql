-- A day of safety has a latest that nobody moves; what lay on shelves before keeps the day it has.
alter table larder_item add column latest date;
alter table larder_item disable trigger larder_item_is_a_fact;
update larder_item set latest = use_by;
alter table larder_item enable trigger larder_item_is_a_fact;
alter table larder_item
    alter column latest set not null,
    add check (latest >= use_by),
    drop constraint larder_item_state_check,
    add constraint larder_item_state_check check (state in ('RAW', 'COOKED', 'FROZEN', 'THAWED', 'CURED', 'DRIED',
        'FERMENTED', 'COLD_SMOKED', 'HOT_SMOKED'));

alter table larder_entry add column latest date;
alter table larder_entry disable trigger larder_entry_is_a_fact;
update larder_entry set latest = use_by where kind = 'TURNED';
alter table larder_entry enable trigger larder_entry_is_a_fact;
alter table larder_entry
    drop constraint larder_entry_kind_check,
    add constraint larder_entry_kind_check check (kind in ('TAKEN', 'WEIGHED', 'MOVED', 'SENT', 'TURNED', 'DATED')),
    add constraint larder_entry_turned_latest check (kind <> 'TURNED' or latest >= use_by),
    add constraint larder_entry_dated check (kind <> 'DATED' or (use_by is not null and btrim(reason) <> ''));

-- The core that something smoked hot reached.
alter table larder_chilled add column core_tenths integer check (core_tenths between -300 and 2000);
