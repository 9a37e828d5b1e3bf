-- Roe and the like may be put back into a part after they were weighed: it is served with it.
alter table lot_part add column put_into text;
alter table lot_part add constraint put_into_another check (put_into is null or (put_into <> slot and not skipped));
