-- Names of owners stand apart from the journal, so that they can be erased while the journal stays as it is.
create table owner_words (
    job_id uuid   not null,
    seq    bigint not null,
    words  text   not null,
    primary key (job_id, seq)
);

create table owner_contact (
    job_id  uuid primary key references job,
    contact text not null
);

alter table job add column owner_erased_at timestamptz;

create table photo (
    id       uuid primary key,
    job_id   uuid        not null references job,
    picture  bytea       not null,
    thumb    bytea       not null,
    added_at timestamptz not null,
    added_by text        not null
);

create index photo_of_job on photo (job_id);

-- How the shop reckons; one row.
create table shop (
    only_row       boolean primary key default true check (only_row),
    currency       text          not null,
    rate_per_hour  numeric(10,2) not null,
    consumables    numeric(10,2) not null,
    callback       numeric(10,2) not null,
    retention_days integer       not null check (retention_days between 1 and 3650)
);

insert into shop (currency, rate_per_hour, consumables, callback, retention_days) values ('EUR', 54.00, 6.50, 25.00, 365);
