-- Whoever works at one venue changes nothing at another. No venue means every venue.
alter table person add column venue_id bigint references venue;
