-- What a bench holds fronts with: rolls, rings, syringes, clamps. What a kind does not have is null.
create table supply (
    id             text primary key,
    place          serial,
    kind           text             not null,
    name           text             not null,
    -- As it was counted, in mm, pieces or ml; what was used since comes off it.
    amount         double precision not null,
    counted_at     timestamptz      not null,
    width_mm       double precision,
    thickness_mm   double precision,
    profile_id     text,
    needle_mm      double precision,
    skin_minutes   integer,
    cure_hours     integer,
    viscosity_pa_s double precision,
    dose_j_per_cm2 double precision,
    newtons        double precision,
    expires        date,
    put_away       boolean          not null default false
);

create table supply_use (
    job_id    uuid             not null references job,
    nth       integer          not null,
    supply_id text             not null,
    amount    double precision not null,
    at        timestamptz      not null,
    primary key (job_id, nth)
);
create index supply_use_of on supply_use (supply_id, at);
insert into projection (name, version) values ('supply_use', 1);
