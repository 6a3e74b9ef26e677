-- Which version of each projector has made what lists and searches read; another one makes it anew from the journals.
create table projection (
    name    text primary key,
    version integer not null
);
insert into projection (name, version) values ('job', 1), ('running_timer', 1);

-- Two clocks of a kind can run at once, under names of their own.
alter table running_timer add column timer_id text;
update running_timer set timer_id = kind;
