-- What a part weighed when it came off the heat; the last word counts.
create table cooked (
    part_id   bigint      primary key references lot_part,
    out_mg    bigint      not null check (out_mg between 1 and 2000000000),
    flesh_mg  bigint      check (flesh_mg between 1 and out_mg),
    cooked_by bigint      not null references person,
    cooked_at timestamptz not null
);
