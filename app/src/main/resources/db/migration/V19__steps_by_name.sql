-- A press names the step that it takes back; one that was taken back can be done again.
delete from last_step;
alter table last_step add column token varchar(16) default '' not null;
alter table last_step add column undone boolean default false not null;
