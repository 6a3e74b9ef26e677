-- What speaks with a front's data chip, by address.
create table programmer (
    id   text primary key,
    name text    not null,
    host text    not null,
    port integer not null
);

-- What a programmer is to do now, or does: told by the journal, taken by a node, gone when the journal says how it ended.
create table copy_run (
    job_id        uuid        not null references job,
    part_id       text        not null,
    seq           bigint      not null,
    doing         text        not null,
    begun_at      timestamptz not null,
    node          uuid,
    until         timestamptz,
    programmer_id text unique,
    stage         text,
    done          integer     not null default 0,
    total         integer     not null default 0,
    primary key (job_id, part_id)
);
insert into projection (name, version) values ('copy_run', 1);

-- Which job a front's data were read for, or written for.
create index journal_front on journal ((fact ->> 'front')) where fact ->> 'front' is not null;
