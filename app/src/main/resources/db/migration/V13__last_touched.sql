-- When somebody last changed anything of a job, its cables or their records.
alter table job add column touched_at timestamp(6) with time zone;
update job set touched_at = created_at;
