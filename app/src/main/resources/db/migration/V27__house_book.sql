-- What the house wrote into a book of its own, as lines of the shipped file: the newest of a code counts.
create table house_book (
    id      bigint generated always as identity primary key,
    book    text        not null check (book in ('METHOD', 'MARINADE')),
    code    text        not null check (code ~ '^[a-z0-9-]{1,60}$'),
    body    text        not null check (btrim(body) <> ''),
    retired boolean     not null,
    kept_by bigint      not null references person,
    kept_at timestamptz not null
);
create index house_book_code on house_book (book, code, id);
create trigger house_book_is_a_fact before update or delete or truncate on house_book
    for each statement execute function a_fact_stays();

-- What things cost at the pot: the newest row counts.
create table pot_price (
    id         bigint generated always as identity primary key,
    bones      numeric     not null check (bones >= 0 and bones <= 1000),
    kilowatt   numeric     not null check (kilowatt >= 0 and kilowatt <= 100),
    bought     numeric     check (bought > 0 and bought <= 1000),
    kept_by    bigint      not null references person,
    kept_at    timestamptz not null
);
create trigger pot_price_is_a_fact before update or delete or truncate on pot_price
    for each statement execute function a_fact_stays();
