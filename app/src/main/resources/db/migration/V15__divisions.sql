-- Some fish of a lot become a lot of their own, to be cut another way; until the first weight they can go back.
create table lot_division (
    lot_id      bigint      primary key references lot on delete cascade,
    from_lot_id bigint      not null references lot,
    divided_by  bigint      not null references person,
    divided_at  timestamptz not null,
    check (lot_id <> from_lot_id)
);
create index lot_division_from on lot_division (from_lot_id);

-- What a lot had of its own goes with it when its fish go back.
alter table pre_work drop constraint pre_work_lot_id_fkey,
    add constraint pre_work_lot_id_fkey foreign key (lot_id) references lot on delete cascade;
alter table bench_opening drop constraint bench_opening_lot_id_fkey,
    add constraint bench_opening_lot_id_fkey foreign key (lot_id) references lot on delete cascade;
