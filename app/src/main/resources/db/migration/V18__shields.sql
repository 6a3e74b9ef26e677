-- Whether an outlet is used with a shield on the glass.
alter table heat_source add column shielded boolean not null default false;
