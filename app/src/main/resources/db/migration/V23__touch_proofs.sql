-- A link that opens one touch proof of one job in the repaired device's own browser, and what it told.
create table touch_proof (
    id         uuid primary key,
    job_id     uuid        not null references job,
    -- The token itself is nowhere but in the link.
    token_hash text        not null unique,
    made_by    text        not null,
    made_at    timestamptz not null,
    expires_at timestamptz not null,
    -- Taken, called off, or another one was made.
    ended_at   timestamptz,
    width_px   double precision,
    height_px  double precision
);
create index touch_proof_of on touch_proof (job_id, made_at);

-- In the order they came; sent twice, one counts.
create table touch_batch (
    proof_id uuid    not null references touch_proof on delete cascade,
    task     text    not null,
    seq      integer not null,
    -- Lists of ms, x, y, contact.
    samples  jsonb   not null,
    -- Whether its task is over: until then nothing is dead that the finger has not come to.
    last     boolean not null,
    primary key (proof_id, task, seq)
);
