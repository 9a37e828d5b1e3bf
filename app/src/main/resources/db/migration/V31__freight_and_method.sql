-- Freight, ice and box share of a lot by invoiced kilogram, so that fish which leave it take theirs along;
-- and the costing method a new lot begins with.
alter table lot add column extras_per_kg numeric(20, 10) not null default 0 check (extras_per_kg between 0 and 100000);
alter table house add column costing_method varchar(20) not null default 'ALL_ON_THE_MAINS'
    check (costing_method in ('ALL_ON_THE_MAINS', 'BY_PRODUCT_CREDIT', 'RELATIVE_VALUE', 'BY_WEIGHT'));
