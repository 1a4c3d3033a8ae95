-- One tap may end several steps, and be taken back as one. How far a job is stands with it, written with every tap.
alter table run_event drop constraint run_event_kind_check;
alter table run_event add constraint run_event_kind_check
  check (kind in ('done', 'skipped', 'undone', 'tapUndone', 'misted', 'mistUndone'));

alter table job add column settled_count integer not null default 0 check (settled_count >= 0);
update job j set settled_count = greatest(0,
  (select count(*) filter (where kind in ('done', 'skipped')) - count(*) filter (where kind = 'undone')
     from run_event e where e.job_id = j.id));
