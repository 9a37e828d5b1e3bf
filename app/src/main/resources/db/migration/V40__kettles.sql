-- A kettle is a number: each of its rows but the first says which one it changes.
alter table kettle add column first_id bigint references kettle;
alter table kettle disable trigger kettle_is_a_fact;
update kettle set first_id = first.id
from (select venue_id, name, min(id) as id from kettle group by venue_id, name) first
where first.venue_id = kettle.venue_id and first.name = kettle.name and first.id <> kettle.id;
alter table kettle enable trigger kettle_is_a_fact;
drop index kettle_venue;
create index kettle_first on kettle (coalesce(first_id, id), id);
