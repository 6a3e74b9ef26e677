-- What a job waits for: hands, a clock, a part, its owner or a lead; and for when.
alter table job add column waits_for text not null default 'HANDS';
alter table job add column part_due date;
alter table job add column promised_on date;

-- Parts that were no good, by the number of the fact that sent them to the returns.
create table part_return (
    job_id   uuid        not null references job,
    seq      bigint      not null,
    -- Null for a part that was bought for its job.
    stock_id uuid references stock,
    part     text        not null,
    why      text        not null,
    words    text        not null,
    at       timestamptz not null,
    who      text        not null,
    primary key (job_id, seq)
);
create index part_return_of_stock on part_return (stock_id);
insert into projection (name, version) values ('reservation', 1);
-- Where there are jobs they are told anew; where there are none there is nothing to tell.
update projection set version = 2 where name = 'job' and not exists (select 1 from job);
