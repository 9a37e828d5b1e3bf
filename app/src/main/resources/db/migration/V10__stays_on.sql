-- A part that is not taken off may stay on another, is weighed with it and goes where it goes.
alter table lot_part add column stays_on text;
alter table lot_part add constraint stays_on_another check (stays_on is null or (skipped and stays_on <> slot));
