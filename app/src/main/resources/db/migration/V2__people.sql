create table person (
    id            uuid primary key,
    name          text    not null unique,
    password_hash text    not null,
    role          text    not null check (role in ('DESK', 'TECHNICIAN', 'LEAD')),
    temperature   text    not null default 'C' check (temperature in ('C', 'F')),
    length        text    not null default 'mm' check (length in ('mm', 'in')),
    failures      integer not null default 0,
    locked_until  timestamptz
);

-- Tables of Spring Session, as its own script for PostgreSQL defines them.
create table spring_session (
    primary_id            char(36) not null primary key,
    session_id            char(36) not null unique,
    creation_time         bigint   not null,
    last_access_time      bigint   not null,
    max_inactive_interval integer  not null,
    expiry_time           bigint   not null,
    principal_name        varchar(100)
);

create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36)     not null references spring_session (primary_id) on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea        not null,
    primary key (session_primary_id, attribute_name)
);
