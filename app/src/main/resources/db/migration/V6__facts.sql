-- Who did something about a lot and when has one name for every fact.
alter table inspection rename column inspected_by to made_by;
alter table inspection rename column inspected_at to made_at;
alter table evidence rename column added_by to made_by;
alter table evidence rename column added_at to made_at;
