-- A way of the house keeps the number of a dish, as a part does. Where a name was kept it means the
-- dish at the venue that was named; without one it means a dish that has the name alone.
update house_way w
set document = jsonb_set(w.document::jsonb, '{fates}', coalesce((
    select jsonb_object_agg(f.key, f.value || jsonb_build_object(
        'dish', coalesce(d.id, 0),
        'use', '',
        'becomes', case when d.id is null then f.value->>'becomes' else '' end))
    from jsonb_each(w.document::jsonb->'fates') f
    left join lateral (
        select min(id) as id
        from dish
        where active and lower(btrim(name)) = lower(btrim(f.value->>'becomes'))
            and venue_id = coalesce(nullif((f.value->>'venue')::bigint, 0), venue_id)
        having count(*) = 1) d on true), '{}'))::text;
