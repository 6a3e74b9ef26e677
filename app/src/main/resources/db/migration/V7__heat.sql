-- What the bench warms with. A source that is put away stays: journals name it.
create table heat_source (
    id                text primary key,
    name              text             not null,
    kind              text             not null,
    min_c             integer          not null,
    max_c             integer          not null,
    settle_s          double precision not null,
    outlet_mm         double precision,
    dial_from         double precision,
    dial_to           double precision,
    usual_distance_mm double precision,
    put_away          boolean          not null default false,
    place             integer generated always as identity
);

insert into heat_source (id, name, kind, min_c, max_c, settle_s)
values ('plate-1', 'Plate 1', 'PLATE', 50, 90, 0),
       ('plate-2', 'Plate 2', 'PLATE', 50, 90, 0),
       ('pad-1', 'Gel pad', 'COMPLIANT_PAD', 50, 85, 0);

-- What logged soaks taught; the newest of a source that was not withdrawn counts.
create table calibration (
    id           bigint generated always as identity primary key,
    source_id    text               not null references heat_source,
    profile_id   text               not null,
    at           timestamptz        not null,
    who          text               not null,
    contact      double precision[] not null,
    offset_k     double precision[] not null,
    rms_k        double precision   not null,
    readings     integer            not null,
    mean         double precision[] not null,
    -- Row by row.
    root         double precision[] not null,
    withdrawn_at timestamptz
);

create index calibration_source on calibration (source_id, id desc) where withdrawn_at is null;

-- Thermometers by address. What is asked is the instrument's own language.
create table instrument (
    id            text primary key,
    name          text    not null,
    host          text    not null,
    port          integer not null,
    source_id     text    not null references heat_source,
    glass_query   text,
    frame_query   text,
    surface_query text
);

-- What instruments said of a soak. Like the journal, rows are only ever added.
create table reading (
    id            bigint generated always as identity primary key,
    job_id        uuid             not null references job,
    soak_seq      bigint           not null,
    instrument    text             not null,
    surface       text             not null,
    read_at       timestamptz      not null,
    celsius       double precision not null
);

create index reading_soak on reading (job_id, soak_seq, id);

create function reading_is_append_only() returns trigger language plpgsql as $$
begin
    raise exception 'readings are only ever added';
end $$;

create trigger reading_append_only before update or delete or truncate on reading
    for each statement execute function reading_is_append_only();
