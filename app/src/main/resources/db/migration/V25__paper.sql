-- How days, numbers and measures are written on what is printed; whose clock says which day it is.
alter table shop add column language text not null default 'en-GB';
alter table shop add column time_zone text not null default 'UTC';
alter table shop add column temperature text not null default 'C' check (temperature in ('C', 'F'));
alter table shop add column length text not null default 'mm' check (length in ('mm', 'in'));

-- When somebody asked how it was after a week; empty where nobody has.
alter table job add column heard_back_at timestamptz;
