alter table cable add column current_from_loads boolean default false not null;
alter table cable add column extra_joints integer default 0 not null;
alter table cable add column legs varchar(160);
alter table cable add column bend_mm double precision;
alter table cable add column load_case varchar(60);
alter table cable add column surge_a double precision;
alter table cable add column surge_s double precision;

alter table job add column placement varchar(16);
alter table job add column heat_balance_decides boolean default true not null;
alter table job add column most_lugs integer default 4 not null;
alter table job add column bend_diameters double precision default 5 not null;
alter table job add column new_drop_percent double precision default 3 not null;

create table shop_rules (
    id bigint primary key,
    version bigint not null,
    placement varchar(16),
    heat_balance_decides boolean not null,
    most_lugs integer not null,
    bend_diameters double precision not null,
    new_drop_percent double precision not null
);

create sequence equipment_seq increment by 50;
create table equipment (
    id bigint primary key,
    version bigint not null,
    job_id bigint not null references job (id),
    tag varchar(24) not null,
    name varchar(80) not null,
    kind varchar(16) not null,
    chemistry varchar(16),
    in_series integer,
    in_parallel integer,
    capacity_ah double precision,
    ohm double precision,
    power_w double precision,
    current_a double precision,
    efficiency_percent double precision,
    lowest_v double precision,
    surge double precision,
    surge_s double precision,
    duty_on_s double precision,
    duty_off_s double precision,
    set_v double precision,
    drop_percent double precision,
    fuse_family varchar(16),
    rating_a double precision,
    stud varchar(16),
    torque_nm double precision,
    torque_min_nm double precision,
    torque_max_nm double precision,
    clear_width_mm double precision,
    stud_length_mm double precision,
    most_lugs integer,
    deleted_at timestamp(6) with time zone
);
create index equipment_by_job on equipment (job_id);

create sequence load_case_seq increment by 50;
create table load_case (
    id bigint primary key,
    version bigint not null,
    job_id bigint not null references job (id),
    name varchar(60) not null,
    hours_per_day double precision not null,
    deleted_at timestamp(6) with time zone
);
create index load_case_by_job on load_case (job_id);
create table load_case_state (
    load_case_id bigint not null references load_case (id),
    equipment_id bigint not null references equipment (id),
    state varchar(8) not null,
    primary key (load_case_id, equipment_id)
);
