-- One book of the house: thirteen tables of "the newest row counts" become its sections. What an entry must
-- hold is kept here for each section; a venue or person it names must be there.
create sequence house_book_number;

drop index house_book_code;
alter table house_book
    drop constraint house_book_book_check,
    drop constraint house_book_code_check,
    drop constraint house_book_body_check,
    alter column kept_at drop not null,
    alter column body type jsonb using to_jsonb(body),
    add column was bigint;

create function days_of(figures text) returns jsonb language sql immutable as $$
    select jsonb_agg((array['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'])[figure::int])
    from unnest(string_to_array(figures, null)) figure
$$;
create function time_of(minute integer) returns text language sql immutable as $$
    select to_char(make_time(minute / 60, minute % 60, 0), 'HH24:MI:SS')
$$;

insert into house_book (book, code, body, retired, kept_by, kept_at, was)
select 'KETTLE', coalesce(first_id, id)::text, jsonb_build_object('venue', venue_id, 'kettle', jsonb_build_object(
    'name', name, 'litres', litres, 'centimetres', centimetres, 'watts', watts)), retired, kept_by, kept_at, id
from kettle order by id;

insert into house_book (book, code, body, retired, kept_by, kept_at)
select 'WORKER', person_id::text, jsonb_build_object('person', person_id, 'venue', venue_id,
    'skills', to_jsonb(array_remove(array[case when knife then 'KNIFE' end, case when stove then 'STOVE' end], null)),
    'shift', jsonb_build_object('begin', jsonb_build_object('at', time_of(from_minute), 'days', days_of(days)),
        'until', time_of(to_minute))), retired, kept_by, kept_at
from clock_worker order by id;

insert into house_book (book, code, body, retired, kept_by, kept_at)
select 'SERVICE', venue_id || ' ' || name, jsonb_build_object('venue', venue_id, 'name', name,
    'time', jsonb_build_object('at', time_of(at_minute), 'days', days_of(days))), retired, kept_by, kept_at
from clock_service order by id;

insert into house_book (book, code, body, retired, kept_by, kept_at)
select 'POT_PRICE', 'all', jsonb_build_object('kilowatt', kilowatt, 'bought', bought), false, kept_by, kept_at
from pot_price order by id;

insert into house_book (book, code, body, retired, kept_by, kept_at)
select 'ROOM', venue_id || ' ' || what, jsonb_build_object('venue', venue_id, 'what', what, 'amount', amount),
    false, kept_by, kept_at
from venue_room order by id;

insert into house_book (book, code, body, retired, kept_by, kept_at)
select 'USE', code, to_jsonb(body), retired, kept_by, kept_at from house_use order by id;

-- Rules and limits were kept with the day they were read, not with the moment.
insert into house_book (book, code, body, retired, kept_by)
select 'LIMIT', which, jsonb_build_object('value', value, 'source', source, 'dated', dated), false, kept_by
from house_limit order by id;

insert into house_book (book, code, body, retired, kept_by)
select 'FREEZING_RULE', id::text, jsonb_build_object('atMost', at_most_dc, 'hours', hours, 'thickest', thickest_mm,
    'source', source, 'dated', dated, 'expires', expires), false, kept_by
from freezing_rule order by id;

insert into house_book (book, code, body, retired, kept_by)
select 'LENGTH_RULE', species || ' ' || basis, jsonb_build_object('species', species, 'basis', basis,
    'minimum', minimum_mm, 'source', source, 'dated', dated, 'expires', expires), false, kept_by
from length_rule order by id;

insert into house_book (book, code, body, retired, kept_by)
select 'CATCH_RULE', id::text, jsonb_build_object('species', species, 'kind', kind, 'area', area, 'method', method,
    'from', from_day, 'to', to_day, 'most', most, 'source', source, 'dated', dated, 'expires', expires), false, kept_by
from catch_rule order by id;

insert into house_book (book, code, body, retired, kept_by, kept_at)
select 'OPTION', option, jsonb_build_object('choice', choice, 'reason', reason), false, set_by, set_at
from house_option order by set_at, option;

insert into house_book (book, code, body, retired, kept_by, kept_at)
select 'WAY', id::text, jsonb_build_object('species', species, 'from', from_mg, 'to', to_mg, 'name', name,
    'choices', coalesce(document::jsonb -> 'choices', '{}'), 'fates', coalesce(document::jsonb -> 'fates', '{}'),
    'order', coalesce(nullif(document::jsonb -> 'order', 'null'), '[]'),
    'pieces', coalesce(nullif(document::jsonb -> 'pieces', 'null'), '{}')), false, saved_by, saved_at
from house_way order by id;

select setval('house_book_number', greatest(
    (select coalesce(max(code::bigint), 0) from house_book
     where book in ('KETTLE', 'FREEZING_RULE', 'CATCH_RULE', 'WAY')), 1));

-- A pot keeps the row of its kettle, as it was when it was put on.
alter table pot_batch drop constraint pot_batch_kettle_id_fkey;
alter table pot_batch disable trigger pot_batch_is_a_fact;
update pot_batch set kettle_id = b.id from house_book b where b.book = 'KETTLE' and b.was = kettle_id;
alter table pot_batch enable trigger pot_batch_is_a_fact;
alter table pot_batch add foreign key (kettle_id) references house_book;

drop function days_of;
drop function time_of;
drop table kettle, clock_worker, clock_service, pot_price, venue_room, house_use, house_limit, freezing_rule,
    length_rule, catch_rule, house_option, house_way;

create function says(said text) returns boolean language sql immutable
    return coalesce(btrim(said) <> '', false);
comment on function says is 'whether a text is there and not empty';
create function are_days(days jsonb) returns boolean language sql immutable
    return coalesce(jsonb_typeof(days) = 'array' and days <> '[]' and days <@
        '["MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY", "SUNDAY"]', false);
create function is_rule(body jsonb) returns boolean language sql immutable
    return coalesce(says(body ->> 'source') and (body ->> 'expires') >= (body ->> 'dated')
        and (body ->> 'dated') ~ '^\d{4}-\d\d-\d\d$' and (body ->> 'expires') ~ '^\d{4}-\d\d-\d\d$', false);
comment on function is_rule is 'whether it says where it is from, when it was read and until when it is trusted';

alter table house_book
    drop column was,
    add column venue_id bigint generated always as ((body ->> 'venue')::bigint) stored references venue,
    add column person_id bigint generated always as ((body ->> 'person')::bigint) stored references person,
    add check (says(code) and length(code) <= 200),
    add constraint house_book_lines check (book not in ('METHOD', 'MARINADE', 'USE')
        or coalesce(jsonb_typeof(body) = 'string' and says(body #>> '{}') and code ~ '^[a-z0-9-]{1,60}$', false)),
    add constraint house_book_kettle check (book <> 'KETTLE' or coalesce(venue_id is not null
        and says(body #>> '{kettle,name}')
        and (body #>> '{kettle,litres}')::numeric between 1 and 500
        and (body #>> '{kettle,centimetres}')::integer between 10 and 150
        and (body #>> '{kettle,watts}')::integer between 500 and 60000, false)),
    add constraint house_book_worker check (book <> 'WORKER' or coalesce(person_id is not null
        and code = person_id::text
        and body -> 'skills' <@ '["KNIFE", "STOVE"]'
        and are_days(body #> '{shift,begin,days}')
        and (body #>> '{shift,begin,at}') ~ '^\d\d:\d\d' and (body #>> '{shift,until}') ~ '^\d\d:\d\d', false)),
    add constraint house_book_service check (book <> 'SERVICE' or coalesce(venue_id is not null
        and says(body ->> 'name')
        and are_days(body #> '{time,days}') and (body #>> '{time,at}') ~ '^\d\d:\d\d', false)),
    add constraint house_book_pot_price check (book <> 'POT_PRICE' or coalesce(
        (body ->> 'kilowatt')::numeric between 0 and 100
        and coalesce((body ->> 'bought')::numeric > 0 and (body ->> 'bought')::numeric <= 1000, true), false)),
    add constraint house_book_room check (book <> 'ROOM' or coalesce(venue_id is not null
        and says(body ->> 'what') and (body ->> 'amount')::integer between 0 and 100000, false)),
    add constraint house_book_limit check (book <> 'LIMIT' or coalesce(says(body ->> 'source')
        and (body ->> 'value')::integer is not null and (body ->> 'dated') ~ '^\d{4}-\d\d-\d\d$', false)),
    add constraint house_book_freezing_rule check (book <> 'FREEZING_RULE' or coalesce(is_rule(body)
        and (body ->> 'atMost')::integer between -1000 and -100
        and (body ->> 'hours')::integer between 1 and 1680
        and coalesce((body ->> 'thickest')::integer between 1 and 10000, true), false)),
    add constraint house_book_length_rule check (book <> 'LENGTH_RULE' or coalesce(is_rule(body)
        and says(body ->> 'species') and body ->> 'basis' in ('FORK', 'TOTAL')
        and (body ->> 'minimum')::integer between 1 and 10000, false)),
    add constraint house_book_catch_rule check (book <> 'CATCH_RULE' or coalesce(is_rule(body)
        and says(body ->> 'species') and body ->> 'area' is not null
        and body ->> 'kind' in ('CLOSED_SEASON', 'BAG_LIMIT', 'METHOD', 'TAG')
        and coalesce((body ->> 'from') ~ '^--\d\d-\d\d$', true)
        and coalesce((body ->> 'to') ~ '^--\d\d-\d\d$', true)
        and coalesce((body ->> 'most')::integer between 0 and 10000, true), false)),
    add constraint house_book_option check (book <> 'OPTION' or coalesce(
        says(body ->> 'choice') and says(body ->> 'reason'), false)),
    add constraint house_book_way check (book <> 'WAY' or coalesce(says(body ->> 'species')
        and says(body ->> 'name') and (body ->> 'from')::bigint >= 0
        and (body ->> 'to')::bigint > (body ->> 'from')::bigint
        and jsonb_typeof(body -> 'choices') = 'object' and jsonb_typeof(body -> 'fates') = 'object', false)),
    add constraint house_book_section check (book in ('METHOD', 'MARINADE', 'USE', 'KETTLE', 'WORKER', 'SERVICE',
        'POT_PRICE', 'ROOM', 'LIMIT', 'FREEZING_RULE', 'LENGTH_RULE', 'CATCH_RULE', 'OPTION', 'WAY'));
create index house_book_newest on house_book (book, code, id);
comment on table house_book is 'of each code of a section the newest row counts; a retired one stays to be read';
