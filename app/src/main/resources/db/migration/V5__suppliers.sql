-- Whom to call at a supplier, and on which days of the week it delivers (1 is Monday; none: nobody has said).
alter table supplier add column contact varchar(80) not null default '';
alter table supplier add column phone varchar(40) not null default '';
alter table supplier add column note varchar(200) not null default '';
alter table supplier add column delivery_days varchar(13) not null default ''
    check (delivery_days ~ '^([1-7](,[1-7])*)?$');
