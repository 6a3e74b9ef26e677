-- Wrong tries are counted by name and address, in memory: by name alone, any stranger could lock anyone out.
alter table person drop column failures, drop column locked_until;
