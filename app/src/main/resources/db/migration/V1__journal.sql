-- The journal is the truth: rows are only ever added. Everything else about a job is a projection of it.

create table job (
    id              uuid primary key,
    number          bigint generated always as identity unique,
    seq             bigint      not null,
    profile_id      text        not null,
    profile_version integer     not null,
    owner           text        not null,
    fault           text        not null,
    station         text        not null,
    next_step       text,
    waiting         boolean     not null,
    mishaps         integer     not null,
    opened_at       timestamptz not null,
    touched_at      timestamptz not null,
    touched_by      text        not null,
    handed_over_at  timestamptz
);

create index job_open on job (opened_at) where handed_over_at is null;
create index job_closed on job (handed_over_at desc) where handed_over_at is not null;

create table journal (
    job_id      uuid        not null references job,
    seq         bigint      not null check (seq > 0),
    command_id  uuid        not null unique,
    happened_at timestamptz not null,
    recorded_at timestamptz not null default now(),
    who         text        not null,
    role        text        not null,
    fact        jsonb       not null,
    primary key (job_id, seq)
);

create function journal_is_append_only() returns trigger language plpgsql as $$
begin
    raise exception 'the journal is append-only';
end $$;

create trigger journal_append_only before update or delete or truncate on journal
    for each statement execute function journal_is_append_only();

create table running_timer (
    job_id     uuid        not null references job,
    seq        bigint      not null,
    kind       text        not null,
    words      text        not null,
    started_at timestamptz not null,
    seconds    integer     not null,
    primary key (job_id, seq)
);
