-- What one portion is: how cuts become plates, and within which limits. Of a lot nobody may have said it yet.
alter table dish
    add column serving_form   text    not null default 'SLICES'
        check (serving_form in ('SLICES', 'PIECES', 'BY_WEIGHT', 'SHARED', 'FISH')),
    add column serving_count  integer not null default 1 check (serving_count between 1 and 60),
    -- until now light fillets were always put together
    add column serving_filled boolean not null default true;
update dish set serving_form = 'SHARED', serving_filled = false where served_whole;
alter table dish drop column served_whole;

alter table lot rename column portion_target_mg to portion_mg;
alter table lot alter column portion_mg drop not null;
alter table lot
    add column tolerance      numeric(4, 3) check (tolerance between 0 and 0.3),
    add column serving_form   text
        check (serving_form in ('SLICES', 'PIECES', 'BY_WEIGHT', 'SHARED', 'FISH')),
    add column serving_count  integer check (serving_count between 1 and 60),
    add column serving_filled boolean;
-- 180 g stood on every lot whether somebody wanted it or not
update lot set portion_mg = null where portion_mg = 180000;
update lot set tolerance = 0, serving_form = 'SLICES', serving_count = 1, serving_filled = false
    where portion_mg is not null;
alter table lot add check (
    (portion_mg is null) = (serving_form is null)
    and (portion_mg is null) = (tolerance is null)
    and (portion_mg is null) = (serving_count is null)
    and (portion_mg is null) = (serving_filled is null));
