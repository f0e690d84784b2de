create sequence job_seq increment by 50;
create table job (
    id bigint primary key,
    version bigint not null,
    name varchar(80) not null,
    kind varchar(16) not null,
    nominal_voltage_v double precision not null,
    charging_voltage_v double precision not null,
    units varchar(8) not null,
    rule_set varchar(24) not null,
    created_at timestamp(6) with time zone not null,
    archived_at timestamp(6) with time zone,
    deleted_at timestamp(6) with time zone
);

create sequence cable_seq increment by 50;
create table cable (
    id bigint primary key,
    version bigint not null,
    job_id bigint not null references job (id),
    place integer not null,
    tag varchar(24) not null,
    from_point varchar(80) not null,
    to_point varchar(80) not null,
    polarity varchar(8) not null,
    current_a double precision not null,
    length_m double precision not null,
    drop_percent double precision not null,
    insulation_temp_c double precision not null,
    ambient_c double precision not null,
    terminal_temp_c double precision,
    engine_space boolean not null,
    bundled integer not null,
    series varchar(8) not null,
    tinned boolean not null,
    slack_mm double precision not null,
    clock_deg double precision not null,
    outer_mm double precision,
    chosen_size varchar(24),
    deleted_at timestamp(6) with time zone
);
create index cable_by_job on cable (job_id, place);

create sequence cable_end_seq increment by 50;
create table cable_end (
    id bigint primary key,
    version bigint not null,
    cable_id bigint not null references cable (id),
    side varchar(1) not null,
    stud varchar(8) not null,
    torque_nm double precision,
    torque_min_nm double precision,
    torque_max_nm double precision,
    clear_width_mm double precision,
    stud_length_mm double precision,
    lug_code varchar(60),
    die_tag varchar(24),
    constraint one_spec_an_end unique (cable_id, side)
);

create sequence die_seq increment by 50;
create table die (
    id bigint primary key,
    version bigint not null,
    tag varchar(24) not null,
    tool varchar(60) not null,
    across_flats_mm double precision not null,
    width_mm double precision not null,
    material varchar(12) not null,
    constraint one_die_a_tag unique (tag)
);

create sequence measured_lug_seq increment by 50;
create table measured_lug (
    id bigint primary key,
    version bigint not null,
    code varchar(60) not null,
    material varchar(12) not null,
    outer_mm double precision not null,
    bore_mm double precision not null,
    depth_mm double precision not null,
    pad_width_mm double precision not null,
    hole_mm double precision not null,
    stud varchar(8) not null,
    constraint one_lug_a_code unique (code)
);

create table build (
    cable_id bigint primary key references cable (id),
    version bigint not null,
    used_mm double precision not null,
    redone_a integer not null,
    redone_b integer not null
);

create sequence step_done_seq increment by 50;
create table step_done (
    id bigint primary key,
    cable_id bigint not null references cable (id),
    step varchar(16) not null,
    done_at timestamp(6) with time zone not null,
    constraint one_mark_a_step unique (cable_id, step)
);

create sequence reading_seq increment by 50;
create table reading (
    id bigint primary key,
    cable_id bigint not null references cable (id),
    step varchar(16) not null,
    kind varchar(20) not null,
    figure double precision not null,
    limit_figure double precision not null,
    unit varchar(8) not null,
    total integer,
    verdict varchar(8) not null,
    explanation varchar(400) not null,
    source varchar(200) not null,
    taken_at timestamp(6) with time zone not null,
    superseded boolean not null,
    deviation varchar(400)
);
create index reading_by_cable on reading (cable_id, id);
