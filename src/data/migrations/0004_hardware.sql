-- Lugs, bolts, rivets and badges to brush around: they take minutes of their own.
alter table wheel add column hardware_pieces integer not null default 5 check (hardware_pieces between 0 and 80);
