-- Where this machine puts its backups; empty: in the data folder. Like all of the desk it stays when a backup is put in place.
alter table desk add column backup_folder text not null default '' check (length(backup_folder) <= 500);
