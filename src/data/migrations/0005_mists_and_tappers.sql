-- A wheel can be wetted once more out of turn, and with two at work a tap says whose it is.
alter table run_event drop constraint run_event_kind_check;
alter table run_event add constraint run_event_kind_check
  check (kind in ('done', 'skipped', 'undone', 'misted', 'mistUndone'));
alter table run_event add column person smallint check (person in (0, 1));
