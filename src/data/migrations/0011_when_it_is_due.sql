-- What protection depends on: driving, seasons, changes of wheels, what every wash took, and looks; and what else falls due.
alter table vehicle add column parked text check (parked in ('garage', 'street'));
alter table wheel_set add column season text check (season in ('winter', 'summer'));

alter table visit
  add column service text,
  -- Share of a sealant's life that the wash took; null: not known.
  add column wear double precision check (wear between 0 and 1),
  add column is_reviving boolean not null default false;

alter table protection_layer
  add column coats smallint not null default 1 check (coats between 1 and 5),
  add column applied_by text not null default '' check (length(applied_by) <= 80),
  -- Where a person said so; else by its kind.
  add column cure_until timestamptz;

create table odometer_reading (
  vehicle_id uuid not null references vehicle on delete cascade,
  read_at timestamptz not null,
  kilometres double precision not null check (kilometres between 0 and 3000000),
  primary key (vehicle_id, read_at)
);

-- What was told of a week's driving, and since when; the vehicle itself has the last of it.
create table driving_change (
  vehicle_id uuid not null references vehicle on delete cascade,
  from_at timestamptz not null,
  kilometres_per_week double precision not null check (kilometres_per_week between 0 and 10000),
  primary key (vehicle_id, from_at)
);

-- Which set is on follows from these alone, so that two never are.
create table wheel_change (
  id uuid primary key default gen_random_uuid(),
  vehicle_id uuid not null references vehicle on delete cascade,
  changed_at timestamptz not null,
  mounted_set_id uuid references wheel_set on delete cascade,
  stored_where text not null default '' check (length(stored_where) <= 80),
  torque_newton_metres double precision check (torque_newton_metres between 5 and 1000),
  unique (vehicle_id, changed_at)
);

create table tyre_reading (
  wheel_set_id uuid not null references wheel_set on delete cascade,
  read_at timestamptz not null,
  date_code text not null default '' check (length(date_code) <= 20),
  tread_millimetres double precision check (tread_millimetres between 0 and 40),
  primary key (wheel_set_id, read_at)
);

-- Wheels that were new or repainted: nothing that was on them before is on them since.
create table wheel_renewal (
  wheel_set_id uuid not null references wheel_set on delete cascade,
  renewed_at timestamptz not null,
  kind text not null check (kind in ('new', 'repainted')),
  positions text[] not null,
  primary key (wheel_set_id, renewed_at)
);

create table look (
  id uuid primary key,
  wheel_set_id uuid not null references wheel_set on delete cascade,
  positions text[] not null check (cardinality(positions) > 0),
  seen_at timestamptz not null,
  beading smallint not null check (beading between 0 and 4),
  release smallint check (release between 0 and 4),
  slickness smallint check (slickness between 0 and 4),
  gloss_units double precision check (gloss_units between 0 and 2000),
  is_after_reviving boolean not null
);
create index look_of_wheel_set on look (wheel_set_id, seen_at);

-- What a person did about something that was due, by what is due: put off until a day, or done.
create table due_mark (
  key text primary key check (length(key) between 1 and 200),
  wheel_set_id uuid references wheel_set on delete cascade,
  snoozed_until timestamptz,
  done_at timestamptz
);

create table reminder (
  id uuid primary key,
  wheel_set_id uuid references wheel_set on delete cascade,
  about text not null check (length(btrim(about)) between 1 and 120),
  due_on date not null,
  repeat_days integer check (repeat_days between 1 and 3650),
  ended_at timestamptz
);

-- Hardness of the water behind the deionising filter.
create table water_reading (
  read_at timestamptz primary key,
  before_ppm double precision not null check (before_ppm between 0 and 5000),
  after_ppm double precision not null check (after_ppm between 0 and 5000)
);

-- Which sets a forecast has to be made anew for: every change of what it reads raises the set's number.
create sequence protection_change_number;
create table protection_change (
  wheel_set_id uuid primary key,
  number bigint not null
);
create index protection_change_by_number on protection_change (number);

create function note_change_of_set(changed uuid) returns void language sql as $$
  insert into protection_change (wheel_set_id, number) values (changed, nextval('protection_change_number'))
  on conflict (wheel_set_id) do update set number = excluded.number
$$;
create function note_set_row() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' then
    perform note_change_of_set(old.wheel_set_id);
  else
    perform note_change_of_set(new.wheel_set_id);
  end if;
  return null;
end $$;
create function note_own_row() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' then
    perform note_change_of_set(old.id);
  else
    perform note_change_of_set(new.id);
  end if;
  return null;
end $$;
create function note_vehicle_row() returns trigger language plpgsql as $$
declare
  changed uuid;
begin
  if tg_table_name = 'vehicle' then
    changed := new.id;
  elsif tg_op = 'DELETE' then
    changed := old.vehicle_id;
  else
    changed := new.vehicle_id;
  end if;
  perform note_change_of_set(id) from wheel_set where vehicle_id = changed;
  return null;
end $$;

create trigger note_change after insert or update or delete on protection_layer
  for each row execute function note_set_row();
create trigger note_change after insert or update or delete on look for each row execute function note_set_row();
create trigger note_change after insert or update or delete on visit for each row execute function note_set_row();
create trigger note_change after update or delete on wheel_set for each row execute function note_own_row();
-- A new set is a neighbour to the others of its vehicle.
create trigger note_change_of_neighbours after insert on wheel_set for each row execute function note_vehicle_row();
create trigger note_change after update on vehicle for each row execute function note_vehicle_row();
create trigger note_change after insert or update or delete on odometer_reading
  for each row execute function note_vehicle_row();
create trigger note_change after insert or update or delete on driving_change
  for each row execute function note_vehicle_row();
create trigger note_change after insert or update or delete on wheel_change
  for each row execute function note_vehicle_row();

select count_rows_of(name) from unnest(array['odometer_reading', 'driving_change', 'wheel_change', 'tyre_reading',
  'wheel_renewal', 'look', 'due_mark', 'reminder', 'water_reading', 'protection_change']) as name;
