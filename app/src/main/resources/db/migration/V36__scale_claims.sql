-- What lies on a scale is taken once, whichever instance the tablet talks to.
create table scale_claim (
    scale    varchar(200) primary key,
    weighing uuid         not null,
    gross_mg bigint       not null,
    tare_mg  bigint       not null,
    step_mg  bigint       not null check (step_mg > 0),
    taken_at timestamptz  not null
);
