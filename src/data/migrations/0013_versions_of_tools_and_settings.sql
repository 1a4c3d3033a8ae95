-- A form says which version it was made from, so that nothing is overwritten in silence.
alter table tool add column version integer not null default 1;
alter table setting add column version integer not null default 1;
