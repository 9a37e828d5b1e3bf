-- What running a house for years needs: who tried to sign in from which browser, what was backed up,
-- who used a token when, and links for a house that lost its owner.

-- A browser a person signed in with before. Only the hash of its secret is kept.
create table known_browser (
    secret_hash varchar(64) not null,
    person_id   bigint      not null references person,
    known_since timestamptz not null,
    primary key (secret_hash, person_id)
);
create index known_browser_person on known_browser (person_id);

-- Tries from a browser the person is known on are counted by themselves.
alter table sign_in_try add column browser varchar(64);
-- A try counts as failed from its first moment, until the right password is seen.
alter table sign_in_try alter column succeeded set default false;

alter table api_token add column last_used_at timestamptz;
-- One may be named and ended without its secret.
alter table api_token add column id bigint generated always as identity;

-- FIRST founds a house; OWNER makes or mends an owner of a house that lost its own, and ends soon.
alter table welcome_link add column kind varchar(8) not null default 'FIRST' check (kind in ('FIRST', 'OWNER'));
alter table welcome_link add column expires_at timestamptz;

-- Written by ./mosaic backup after the file is whole.
create table backup_made (
    id        bigint generated always as identity primary key,
    made_at   timestamptz not null,
    file      varchar(400) not null check (file <> ''),
    bytes     bigint      not null check (bytes > 0),
    encrypted boolean     not null
);
create index backup_made_at on backup_made (made_at);

-- The news of a weight leave with the weight itself: one question to the database fewer.
create function tell_of_weighing() returns trigger language plpgsql as $$
begin
    perform pg_notify('lot_changed', (select lot_id from lot_part where id = new.part_id) || ' ' || new.id);
    return null;
end $$;
create trigger weighing_told after insert on weighing for each row execute function tell_of_weighing();
