-- Whose hands a job's next step waits for. Jobs from before learn it with their next fact; until then by their station.
alter table job add column needs text not null default 'TECHNICIAN' check (needs in ('DESK', 'TECHNICIAN', 'LEAD'));
update job set needs = 'DESK' where station in ('INTAKE', 'DECIDE');
alter table job alter column needs drop default;

-- Someone who left keeps the name in the journal but can't sign in.
alter table person add column active boolean not null default true;
