alter table cable alter column clock_deg set null;
update cable set clock_deg = null where clock_deg = 0;

alter table cable_end add column leave_deg double precision;
alter table cable_end add column wall_reach_mm double precision;
alter table cable_end add column neighbour_mm double precision;
alter table cable_end add column headroom_mm double precision;
alter table cable_end add column second_stud_mm double precision;
alter table cable_end add column stud_points varchar(8);
alter table cable_end add column conductors integer;

alter table measured_lug add column angle_deg integer default 0 not null;
alter table measured_lug add column pitch_mm double precision;
alter table measured_lug add column pad_metal varchar(16);
alter table measured_lug add column tinned boolean;
alter table measured_lug add column windowed boolean default false not null;
alter table measured_lug add column bell_mouth boolean default false not null;
alter table measured_lug add column conductors integer default 1 not null;
update measured_lug set pad_metal = material, tinned = (material = 'COPPER');
alter table measured_lug alter column pad_metal set not null;
alter table measured_lug alter column tinned set not null;
