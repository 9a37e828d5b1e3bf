-- Fillets that were bought cut are a lot too.
alter table lot drop constraint lot_state_check;
alter table lot add constraint lot_state_check
    check (state in ('UNGUTTED', 'GUTTED', 'GUTTED_AND_GILLED', 'HEADED_AND_GUTTED', 'FILLETS'));
