-- What was seen at the work: answers in the log of taps; what stayed and how long it took with the visit; what a test spot
-- showed with the wheel set; how tyres of a vehicle give up their browning.
alter table run_event drop constraint run_event_kind_check;
alter table run_event add constraint run_event_kind_check
  check (kind in ('done', 'answered', 'skipped', 'undone', 'tapUndone', 'misted', 'mistUndone'));
alter table run_event add column answer jsonb;
alter table run_event add constraint run_event_answer_check check ((kind = 'answered') = (answer is not null));

alter table visit
  add column clock_seconds integer check (clock_seconds >= 0),
  -- [{"position": "rearLeft", "zone": "barrel", "soil": "bondedDust"}, …]
  add column leftovers jsonb not null default '[]';

alter table vehicle
  add column browning_factor double precision not null default 1 check (browning_factor between 0.25 and 4);

create table test_spot (
  wheel_set_id uuid not null references wheel_set on delete cascade,
  product_id text not null,
  finish text not null,
  product_name text not null,
  result text not null check (result in ('fine', 'marked')),
  tried_at timestamptz not null,
  primary key (wheel_set_id, product_id, finish)
);
select count_rows_of('test_spot');
