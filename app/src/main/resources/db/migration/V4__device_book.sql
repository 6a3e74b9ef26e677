-- The device book. A released version never changes: jobs keep the one they started with.
create extension if not exists pg_trgm;

create table device (
    id               text primary key,
    released_version integer,
    withdrawn        boolean not null default false,
    -- A projection of the newest released version, or of the draft while there is none.
    name             text    not null,
    words            text    not null,
    kind             text    not null,
    generic          boolean not null,
    width_mm         double precision not null,
    height_mm        double precision not null,
    search           text    not null
);

create index device_search on device using gin (search gin_trgm_ops);

create table device_version (
    device_id   text        not null references device on delete cascade,
    version     integer     not null check (version > 0),
    document    jsonb       not null,
    made_by     text        not null,
    made_at     timestamptz not null,
    released_by text,
    released_at timestamptz,
    primary key (device_id, version)
);

create unique index one_draft_a_device on device_version (device_id) where released_at is null;

create function released_versions_stay() returns trigger language plpgsql as $$
begin
    if old.released_at is not null then
        raise exception 'a released version of a device never changes';
    end if;
    return new;
end $$;

create trigger released_versions_stay before update on device_version
    for each row execute function released_versions_stay();

-- What a technician at the bench found to be different from the book.
create table correction (
    id          bigint generated always as identity primary key,
    device_id   text        not null references device on delete cascade,
    version     integer     not null,
    job_id      uuid        references job,
    what        text        not null,
    found       text        not null,
    by_whom     text        not null,
    made_at     timestamptz not null,
    settled_by  text,
    settled_at  timestamptz,
    taken       boolean
);

create index correction_open on correction (device_id) where settled_at is null;

-- The device's name as it was when the job was taken in: lists need not open the book.
alter table job add column device text not null default 'Marrowby Quire 11';
alter table job alter column device drop default;
