alter table die add column shape varchar(8) default 'HEX' not null;
alter table die alter column tool rename to family;
alter table die add column stamped varchar(24) default '' not null;
alter table die add column colour varchar(24) default '' not null;
alter table die add column in_tool varchar(24);

create sequence crib_tool_seq increment by 50;
create table crib_tool (
    id bigint primary key,
    version bigint not null,
    tag varchar(24) not null,
    name varchar(60) not null,
    kind varchar(24) not null,
    family varchar(60) not null,
    force_kn double precision,
    up_to_mm2 double precision,
    full_cycle boolean not null,
    calibrated_on date,
    calibration_due date,
    torque_from_nm double precision,
    torque_to_nm double precision,
    spike_mm double precision,
    dial_zero_mm double precision,
    dial_mark_mm double precision,
    constraint one_tool_a_tag unique (tag)
);

create sequence crib_sample_seq increment by 50;
create table crib_sample (
    id bigint primary key,
    version bigint not null,
    tool varchar(24) not null,
    die varchar(24) not null,
    lug varchar(60) not null,
    size varchar(24) not null,
    made date not null,
    voids_percent double precision,
    pull_n double precision,
    parted varchar(16) not null,
    note varchar(200) not null,
    deleted_at timestamp(6) with time zone
);
create index crib_sample_by_tool on crib_sample (tool);
