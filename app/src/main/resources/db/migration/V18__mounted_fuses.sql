-- A fuse may sit on a terminal of another piece: on the bar of a fuse panel, on a battery's post.
alter table equipment add column mounted_on varchar(30);
