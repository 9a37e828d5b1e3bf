-- Who is less strict than the signs says why; to be stricter needs no reason.
alter table inspection drop constraint inspection_check;
alter table inspection add constraint inspection_laxer_with_reason check (
    array_position(array['RAW', 'COOK', 'POT', 'REFUSE'], decision::text)
        >= array_position(array['RAW', 'COOK', 'POT', 'REFUSE'], proposal::text)
    or btrim(reason) <> '');
