-- The transaction that last changed a job: whoever missed a notice finds by it what to look at again.
alter table job add column changed xid8 not null default '0';
