-- Solar panels with their maker's figures.
alter table equipment add column open_v double precision;
alter table equipment add column short_a double precision;
alter table equipment add column coldest_c double precision;
alter table equipment add column percent_per_kelvin double precision;
