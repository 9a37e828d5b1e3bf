-- What else lies on a plate, and how much of its price it may cost. Currencies with three decimals keep them.
alter table dish
    add column garnish numeric(14, 4) check (garnish between 0 and 100000),
    add column cost_limit numeric(5, 4) check (cost_limit > 0 and cost_limit <= 1),
    alter column price type numeric(14, 4);
alter table house alter column labour_per_hour type numeric(12, 4);
