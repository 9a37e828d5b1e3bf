-- Who sees no prices receives fish all the same; what it cost is written down later.
alter table lot alter column price_per_kg drop not null;
