-- How many daily backups the house keeps.
create table backup_rule (
    id integer primary key,
    generations integer not null
);
