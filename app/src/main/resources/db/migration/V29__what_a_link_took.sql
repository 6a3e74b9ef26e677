-- Calls and bytes that came in by a link: there is an end to both.
alter table touch_proof
    add column calls integer not null default 0,
    add column bytes bigint not null default 0;
