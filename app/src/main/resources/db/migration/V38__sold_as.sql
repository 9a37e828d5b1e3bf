-- A dish is sold under a name: the fish it is sold as, and others that are substitutes, taken
-- knowingly. The name says which, where it names one of its fish; else it is the catch of the day.
alter table dish_fish add column sold_as boolean not null default true;
update dish_fish f
set sold_as = exists (
    select 1 from dish d
    where d.id = f.dish_id and position(replace(f.species, '-', ' ') in lower(d.name)) > 0)
where exists (
    select 1 from dish d join dish_fish named on named.dish_id = d.id
    where d.id = f.dish_id and position(replace(named.species, '-', ' ') in lower(d.name)) > 0);
alter table dish_fish alter column sold_as drop default;
