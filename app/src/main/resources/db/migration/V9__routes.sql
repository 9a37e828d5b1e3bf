-- Whole or in cuts is one of several routes by which a fish is broken.
update lot_option set option = 'route' where option = 'service';
update lot_option set choice = 'cuts' where option = 'route' and choice = 'filleted';
update house_option set option = 'route' where option = 'service';
update house_option set choice = 'cuts' where option = 'route' and choice = 'filleted';
update house_way set document = replace(replace(document,
    '"service":"filleted"', '"route":"cuts"'), '"service":"whole"', '"route":"whole"')
where document like '%"service":%';

-- Before the first weight the numbers of parts follow the route: they change together.
alter table lot_part drop constraint lot_part_lot_id_number_key;
alter table lot_part add constraint lot_part_lot_id_number_key
    unique (lot_id, number) deferrable initially deferred;
