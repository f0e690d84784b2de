-- When a kept backup was last brought back into an empty folder, to see that it can be.
alter table backup_rule add column tried_at timestamp(6) with time zone;
