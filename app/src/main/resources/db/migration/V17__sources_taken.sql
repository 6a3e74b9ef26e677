-- What a device lies on, until it comes off: others are planned without it.
create table source_taken (
    job_id    uuid        primary key references job,
    source_id text        not null,
    since     timestamptz not null,
    free_at   timestamptz not null
);
insert into projection (name, version) values ('source_taken', 1);
