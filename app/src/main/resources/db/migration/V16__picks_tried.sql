-- Picks tried at an edge whose temperature was reckoned: what the shop's hands are learned from.
create table pick_try (
    job_id   uuid    not null references job,
    nth      int     not null,
    adhesive text    not null,
    bond_c   numeric not null,
    goes_in  boolean not null,
    primary key (job_id, nth)
);
insert into projection (name, version) values ('pick_try', 1);
