-- What the strands of a cable are made of, in place of whether they are tinned.
alter table cable add column metal varchar(24) default 'COPPER' not null;
update cable set metal = 'TINNED' where tinned;
alter table cable drop column tinned;

-- How the strings of a bank are joined, and whether each has its own fuse.
alter table equipment add column string_tap varchar(24);
alter table equipment add column string_fuses varchar(24);

-- The last step of a job, or of a list of the shop, that changed many things at once, so that it can be taken back.
create table last_step (
    place varchar(40) primary key,
    what varchar(24) not null,
    things integer not null,
    taken_at timestamp(6) with time zone not null,
    changes clob not null
);
