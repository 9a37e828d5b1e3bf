-- A fish may be killed in several steps, and may come scaled or as by-catch.
alter table lot drop constraint lot_killing_check;
alter table lot alter column killing type varchar(60);
alter table lot add constraint lot_killing_check
    check (killing ~ '^(SPIKED|BLED|ICE|UNKNOWN)(,(SPIKED|BLED|ICE|UNKNOWN))*$');
alter table lot add column scaled boolean not null default false;
alter table lot add column by_catch boolean not null default false;
