-- What was done before the first cut, and by whom.
create table pre_work (
    lot_id  bigint      not null references lot,
    place   text        not null check (place ~ '^[A-Z_]{2,40}$'),
    task    text        not null check (task ~ '^[A-Z_]{2,40}$'),
    done_by bigint      not null references person,
    done_at timestamptz not null,
    primary key (lot_id, place, task)
);
