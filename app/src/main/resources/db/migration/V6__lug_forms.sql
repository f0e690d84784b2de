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

create sequence own_contact_seq increment by 50;
create table own_contact (
    id bigint primary key,
    version bigint not null,
    code varchar(60) not null,
    family varchar(16) not null,
    style varchar(16) not null,
    from_mm2 double precision not null,
    to_mm2 double precision not null,
    tight_mm2 double precision,
    reduced_mm2 double precision,
    rated_a double precision,
    strip_mm double precision not null,
    housing varchar(60) not null,
    depth_mm double precision not null,
    reach_mm double precision not null,
    height_mm double precision not null,
    seal_from_mm double precision,
    seal_to_mm double precision,
    nut_nm double precision,
    outer_mm double precision,
    bore_mm double precision,
    constraint one_contact_a_code unique (code)
);

create table shelf_count (
    code varchar(60) primary key,
    pieces integer not null
);

alter table crib_tool add column torque_step_nm double precision;
alter table job add column fuse_over_load_percent double precision default 125 not null;
alter table job add column fuse_over_ampacity_percent double precision default 150 not null;
alter table shop_rules add column fuse_over_load_percent double precision default 125 not null;
alter table shop_rules add column fuse_over_ampacity_percent double precision default 150 not null;
