-- What a lead changed of the table of faults, whole; and what closed cases say of causes, in shares of a case.
create table fault_table (
    only_one boolean primary key default true check (only_one),
    document jsonb   not null,
    changed_by text  not null,
    changed_at timestamptz not null default now()
);
create table fault_case (
    job_id    uuid    not null references job,
    complaint text    not null,
    cause     text    not null,
    share     numeric not null,
    primary key (job_id, complaint, cause)
);
insert into projection (name, version) values ('fault_case', 1);
