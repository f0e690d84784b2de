-- How many of a part shall lie on the shelf at least.
alter table shelf_count add column minimum integer default 0 not null;
