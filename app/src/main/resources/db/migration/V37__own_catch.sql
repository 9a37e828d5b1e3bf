-- What the house caught itself came from nobody: it was kept as a supplier of that name.
alter table lot alter column supplier_id drop not null;
update lot set supplier_id = null
where price_per_kg = 0 and supplier_id in (select id from supplier where name = 'Own catch');
delete from supplier s
where s.name = 'Own catch'
    and not exists (select 1 from lot l where l.supplier_id = s.id)
    and not exists (select 1 from price p where p.supplier_id = s.id)
    and not exists (select 1 from purchase_order o where o.supplier_id = s.id);
