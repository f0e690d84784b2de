alter table cable add column conduit boolean default false not null;

alter table equipment add column charge_v double precision;
alter table equipment add column cut_off_v double precision;
alter table equipment add column idle_w double precision;
alter table equipment add column terminal_metal varchar(16);

create table cable_price (
    size varchar(24) primary key,
    per_metre double precision not null
);
