-- Number of the job as which a device was here before with the same: what a kind of part is worth shows only then.
alter table job add column came_from bigint;
create index job_came_from on job (came_from) where came_from is not null;
