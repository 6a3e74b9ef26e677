-- One node asks an instrument, for as long as it keeps saying so; what it was told is there for all.
create table instrument_lease (
    instrument_id text primary key,
    node          uuid        not null,
    until         timestamptz not null,
    told          jsonb
);
