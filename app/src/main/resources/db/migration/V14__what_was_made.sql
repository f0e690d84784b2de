-- Who answers for a stop; what an end, or the whole cable, was begun anew for; the size that a cable was cut from.
alter table reading add column deviation_by varchar(80);
alter table reading add column closed_by bigint;
update reading set deviation_by = '' where deviation is not null;
alter table build add column cut_size varchar(40);
create sequence redo_seq increment by 50;
create table redo (
    id bigint primary key,
    cable_id bigint not null references cable (id),
    side varchar(1),
    cost_mm double precision not null,
    redone_at timestamp(6) with time zone not null,
    used_before_mm double precision not null,
    before_a integer not null,
    before_b integer not null,
    cut_size_before varchar(40),
    steps_before varchar(4000) not null,
    undone boolean not null
);
create index redo_by_cable on redo (cable_id, id);
