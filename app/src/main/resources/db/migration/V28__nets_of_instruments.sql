-- Where instruments may be called: nowhere until a lead says so.
create table instrument_net (
    net text primary key
);
