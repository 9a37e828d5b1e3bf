-- A part goes to a dish with a portion of its own; without one the portion of the lot counts.
alter table lot_part
    add column portion_mg     bigint check (portion_mg between 1000 and 5000000),
    add column tolerance      numeric(4, 3) check (tolerance between 0 and 0.3),
    add column serving_form   text
        check (serving_form in ('SLICES', 'PIECES', 'BY_WEIGHT', 'SHARED', 'FISH')),
    add column serving_count  integer check (serving_count between 1 and 60),
    add column serving_filled boolean;
alter table lot_part add check (
    (portion_mg is null) = (serving_form is null)
    and (portion_mg is null) = (tolerance is null)
    and (portion_mg is null) = (serving_count is null)
    and (portion_mg is null) = (serving_filled is null));
