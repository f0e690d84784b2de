alter table cable_end add column family varchar(16);
alter table cable_end add column contact_code varchar(60);
alter table cable_end add column join_method varchar(20);
alter table cable_end add column own_key varchar(24);
alter table cable_end add column mate_key varchar(24);

alter table job add column sealed_terminals boolean default true not null;
alter table job add column facing varchar(12) default 'RED_LEFT' not null;
alter table shop_rules add column sealed_terminals boolean default true not null;
alter table shop_rules add column facing varchar(12) default 'RED_LEFT' not null;

alter table job add column practices varchar(400) default '' not null;
alter table shop_rules add column practices varchar(400) default '' not null;
