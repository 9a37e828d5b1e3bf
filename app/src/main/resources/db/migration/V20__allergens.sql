-- What guests are told of a dish.
alter table dish add column allergens text not null default '';
