-- A photo's id stands for one file: sent again with another one it is refused.
alter table photo add column file_sha256 bytea;
