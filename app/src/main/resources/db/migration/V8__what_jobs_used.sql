-- A job that goes back as it came has used no part and says nothing about how repairs of its kind go.
alter table job add column unrepaired boolean not null default false;

-- Pieces are counted now and then; what jobs handed over since have used is no longer there.
alter table stock add column counted_at timestamptz not null default now();

-- The order in which the shelf is shown: words that fit half the shop are answered without sorting it.
drop index stock_device;
create index stock_order on stock (device_id, kind, price);
