-- A run is whatever a clock was started for: a soak, drying, pressing. Instruments say what they measure in named channels
-- of a run. Nodes of the version before go on with "reading" and "photo", which are views now.
create table channel (
    id         bigint generated always as identity primary key,
    job_id     uuid   not null references job,
    run_seq    bigint not null,
    instrument text   not null,
    quantity   text   not null,
    place      text   not null,
    unique (job_id, run_seq, instrument, quantity, place)
);

create table sample (
    id         bigint generated always as identity primary key,
    channel_id bigint           not null references channel,
    at         timestamptz      not null,
    value      double precision not null
);
create index sample_of_channel on sample (channel_id, id);

insert into channel (job_id, run_seq, instrument, quantity, place)
select distinct job_id, soak_seq, instrument, 'TEMPERATURE', surface from reading;
insert into sample (channel_id, at, value)
select c.id, r.read_at, r.celsius from reading r
join channel c on c.job_id = r.job_id and c.run_seq = r.soak_seq and c.instrument = r.instrument and c.place = r.surface
order by r.id;

create function sample_is_append_only() returns trigger language plpgsql as $$
begin
    raise exception 'samples are only ever added';
end $$;
create trigger channel_append_only before update or delete or truncate on channel
    for each statement execute function sample_is_append_only();
create trigger sample_append_only before update or delete or truncate on sample
    for each statement execute function sample_is_append_only();

drop table reading;
create view reading as
select s.id, c.job_id, c.run_seq as soak_seq, c.instrument, c.place as surface, s.at as read_at, s.value as celsius
from sample s join channel c on c.id = s.channel_id where c.quantity = 'TEMPERATURE';
create function reading_is_a_sample() returns trigger language plpgsql as $$
begin
    insert into channel (job_id, run_seq, instrument, quantity, place)
    values (new.job_id, new.soak_seq, new.instrument, 'TEMPERATURE', new.surface) on conflict do nothing;
    insert into sample (channel_id, at, value)
    select id, new.read_at, new.celsius from channel
    where job_id = new.job_id and run_seq = new.soak_seq and instrument = new.instrument
        and quantity = 'TEMPERATURE' and place = new.surface;
    return new;
end $$;
create trigger reading_added instead of insert on reading for each row execute function reading_is_a_sample();

-- What an instrument attends to, and what it is asked: one question a channel.
alter table instrument alter column source_id drop not null;
alter table instrument add column attends text not null default 'SOAK';
alter table instrument add column channels jsonb not null default '[]';

-- Files of a job, whatever is in them.
alter table photo rename to attachment;
alter table attachment rename column picture to content;
alter table attachment rename column file_sha256 to sha256;
alter table attachment alter column thumb drop not null;
alter table attachment add column kind text not null default 'PHOTO';
alter table attachment add column name text not null default '';
alter table attachment add column media_type text not null default 'image/jpeg';
alter table attachment add column run_seq bigint;
alter table attachment add column size integer generated always as (octet_length(content)) stored;
alter index photo_of_job rename to attachment_of_job;
create view photo as
select id, job_id, content as picture, thumb, added_at, added_by, sha256 as file_sha256 from attachment where kind = 'PHOTO';
