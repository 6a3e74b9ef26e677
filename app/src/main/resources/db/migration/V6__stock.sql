create table stock (
    id          uuid primary key,
    part_number text          not null,
    supplier    text          not null,
    device_id   text          not null,
    -- Null fits every variant.
    variant_id  text,
    kind        text          not null,
    grade       text          not null,
    brings      text[]        not null,
    price       numeric(10,2) not null,
    currency    text          not null,
    pieces      integer       not null check (pieces >= 0),
    lot         text          not null,
    tested      boolean       not null default false,
    search      text          not null,
    unique (supplier, part_number)
);

create index stock_search on stock using gin (search gin_trgm_ops);
create index stock_device on stock (device_id);

create table reservation (
    job_id   uuid not null references job,
    stock_id uuid not null references stock,
    primary key (job_id, stock_id)
);

create index reservation_stock on reservation (stock_id);

-- What was agreed, for counting how jobs of a kind went.
alter table job add column grade text;
create index job_outcomes on job (profile_id, grade) where handed_over_at is not null;
