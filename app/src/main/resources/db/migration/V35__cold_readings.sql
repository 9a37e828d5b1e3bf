-- A reading that was typed says which thermometer showed it.
alter table pot_reading add column instrument varchar(60) not null default '';
