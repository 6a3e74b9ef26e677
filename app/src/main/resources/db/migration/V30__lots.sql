-- A new delivery of the same number is a lot of its own: what lies there keeps its price and what it brings.
alter table stock
    add column since timestamptz not null default now(),
    drop constraint stock_supplier_part_number_key,
    add unique (supplier, part_number, lot);
