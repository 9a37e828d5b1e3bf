-- Where a part goes is a dish by its number, a use by its code, or words. Names are for people.
alter table lot_part
    add column dish_id  bigint references dish,
    add column use_code varchar(60);

-- A name meant the dish at the venue the part goes to before one elsewhere, and one that is served.
update lot_part p
set dish_id = (
    select d.id
    from dish d join lot l on l.id = p.lot_id
    where lower(btrim(d.name)) = lower(btrim(p.becomes))
    order by (d.venue_id = coalesce(p.venue_id, l.venue_id)) desc, d.active desc, d.id
    limit 1)
where btrim(p.becomes) <> '';

update lot_part p
set use_code = m.use_code
from making m join making_source s on s.making_id = m.id
where s.lot_id = p.lot_id and s.slot = p.slot and p.dish_id is null
    and lower(btrim(m.name)) = lower(btrim(p.becomes));

update lot_part set becomes = '' where dish_id is not null;
alter table lot_part add constraint lot_part_goes_one_way check (
    (dish_id is null or use_code is null)
    and (dish_id is null or becomes = '')
    and (use_code is null or btrim(becomes) <> ''));
create index lot_part_dish on lot_part (dish_id) where dish_id is not null;

-- The portion of a dish was copied to its parts and to the lot. It is asked of the dish now; a lot
-- keeps a portion only where somebody typed one for it.
update lot l
set portion_mg = null, tolerance = null, serving_form = null, serving_count = null, serving_filled = null
where exists (select 1 from lot_part p where p.lot_id = l.id and p.portion_mg is not null);
alter table lot_part
    drop column portion_mg,
    drop column tolerance,
    drop column serving_form,
    drop column serving_count,
    drop column serving_filled;
