-- When this house primes a ledge: always, where it is needed, never.
alter table shop add column primer text not null default 'WHERE_NEEDED';
