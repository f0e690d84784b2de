-- How a house chooses a size, and what it takes for terminals of which nothing is known.
alter table job add column size_margin_percent double precision default 10 not null;
alter table job add column clean_proposal boolean default true not null;
alter table job add column terminal_c double precision default 75;
alter table shop_rules add column size_margin_percent double precision default 10 not null;
alter table shop_rules add column clean_proposal boolean default true not null;
alter table shop_rules add column terminal_c double precision default 75;

-- A cable in the insulation of a wall; what its own is made of decides what a short circuit may heat it to.
alter table cable add column walled boolean default false not null;
alter table cable add column material varchar(24);

-- The highest voltage that a load stands.
alter table equipment add column highest_v double precision;
