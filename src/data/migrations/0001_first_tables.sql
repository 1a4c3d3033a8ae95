-- Settings are small named documents; their shape is checked by the contracts on the way in and out.
create table setting (
  name text primary key,
  value jsonb not null,
  changed_at timestamptz not null default now()
);

create table vehicle (
  id uuid primary key default gen_random_uuid(),
  name text not null check (length(btrim(name)) between 1 and 80),
  kind text not null check (kind in ('car', 'van', 'trailer', 'motorcycle', 'looseSet')),
  created_at timestamptz not null default now()
);

-- Protection belongs to the wheel set, not to the vehicle: a vehicle can own several.
create table wheel_set (
  id uuid primary key default gen_random_uuid(),
  vehicle_id uuid not null references vehicle on delete restrict,
  name text not null check (length(btrim(name)) between 1 and 80),
  note text not null default '' check (length(note) <= 2000),
  version integer not null default 1 check (version > 0),
  created_at timestamptz not null default now(),
  changed_at timestamptz not null default now()
);
create index wheel_set_of_vehicle on wheel_set (vehicle_id);

create table wheel (
  wheel_set_id uuid not null references wheel_set on delete cascade,
  position text not null check (position in (
    'front', 'rear', 'frontLeft', 'frontRight', 'rearRight', 'rearRightInner', 'rearLeftInner', 'rearLeft',
    'thirdRight', 'thirdLeft')),
  tyre_code text not null check (length(tyre_code) between 1 and 60),
  rim_width_inches double precision not null check (rim_width_inches between 1.5 and 16),
  spoke_count integer not null check (spoke_count between 0 and 120),
  spoke_width_millimetres double precision not null check (spoke_width_millimetres between 1 and 300),
  spoke_depth_millimetres double precision not null check (spoke_depth_millimetres between 1 and 200),
  openness double precision check (openness between 0 and 0.95),
  primary key (wheel_set_id, position)
);

create table wheel_finish (
  wheel_set_id uuid not null,
  position text not null,
  zone text not null check (zone in ('lip', 'face', 'windows', 'barrel', 'cap', 'caliper')),
  finish text not null check (finish in (
    'paintedGloss', 'glossBlack', 'matte', 'powderCoat', 'diamondCut', 'polishedBare', 'brushedBare', 'anodised',
    'chrome', 'carbonFibre', 'magnesium', 'paintedSteel', 'plasticTrim', 'filmWrapped', 'unknown')),
  condition text not null check (condition in ('sound', 'chipped', 'peeling', 'corroded', 'curbRashed', 'unknown')),
  primary key (wheel_set_id, position, zone),
  foreign key (wheel_set_id, position) references wheel on delete cascade
);

create table product (
  id text primary key check (length(id) between 1 and 60),
  name text not null check (length(btrim(name)) between 1 and 80),
  family text not null,
  strength_from double precision not null check (strength_from > 0),
  strength_to double precision not null check (strength_to <= 1),
  dwell_min_seconds integer not null check (dwell_min_seconds >= 0),
  dwell_max_seconds integer not null,
  delivery text not null,
  pack_millilitres double precision not null check (pack_millilitres > 0),
  pack_price_minor bigint not null check (pack_price_minor >= 0),
  currency text not null check (currency ~ '^[A-Z]{3}$'),
  stock_millilitres double precision not null check (stock_millilitres >= 0),
  check (strength_from <= strength_to),
  check (dwell_min_seconds <= dwell_max_seconds)
);

create table product_rating (
  product_id text not null references product on delete cascade,
  soil text not null,
  rating integer not null check (rating between 0 and 4),
  primary key (product_id, soil)
);

create table tool (
  id text primary key check (length(id) between 1 and 60),
  name text not null check (length(btrim(name)) between 1 and 80),
  kind text not null,
  stiffness text not null check (stiffness in ('soft', 'medium', 'stiff')),
  diameter_millimetres double precision not null check (diameter_millimetres > 0),
  squeezed_millimetres double precision not null check (squeezed_millimetres > 0),
  reach_millimetres double precision not null check (reach_millimetres > 0),
  state text not null check (state in ('clean', 'dropped', 'worn'))
);

-- A job keeps the file it was planned from and the plan itself, as published formats.
create table job (
  id uuid primary key default gen_random_uuid(),
  wheel_set_id uuid not null references wheel_set on delete cascade,
  job_file jsonb not null,
  plan_file jsonb not null,
  planned_for timestamptz,
  created_at timestamptz not null default now(),
  started_at timestamptz,
  finished_at timestamptz,
  check (finished_at is null or started_at is not null)
);
create index job_of_wheel_set on job (wheel_set_id, created_at desc);
create index job_open on job (created_at desc) where finished_at is null;

-- What happened in the bay, append-only; undo is an event too. The request id makes a resent tap harmless.
create table run_event (
  job_id uuid not null references job on delete cascade,
  sequence integer not null check (sequence > 0),
  kind text not null check (kind in ('done', 'skipped', 'undone')),
  step_id text not null,
  at timestamptz not null,
  request_id uuid not null unique,
  primary key (job_id, sequence)
);

create table visit (
  id uuid primary key default gen_random_uuid(),
  wheel_set_id uuid not null references wheel_set on delete cascade,
  job_id uuid unique references job on delete set null,
  finished_at timestamptz not null,
  headline text not null,
  result text not null check (result in ('clean', 'someLeft', 'notClean')),
  note text not null default '' check (length(note) <= 2000),
  operator_seconds integer not null check (operator_seconds >= 0),
  cost_minor bigint not null check (cost_minor >= 0),
  currency text not null check (currency ~ '^[A-Z]{3}$')
);
create index visit_of_wheel_set on visit (wheel_set_id, finished_at desc);
create index visit_by_time on visit (finished_at desc);

-- The name stays readable when the product is gone from the cabinet.
create table visit_product (
  visit_id uuid not null references visit on delete cascade,
  product_name text not null,
  concentrate_millilitres double precision not null check (concentrate_millilitres >= 0),
  cost_minor bigint not null check (cost_minor >= 0),
  primary key (visit_id, product_name)
);

create table protection_layer (
  id uuid primary key default gen_random_uuid(),
  wheel_set_id uuid not null,
  position text not null,
  kind text not null check (kind in (
    'quickDetailer', 'sprayRinseSilica', 'sprayWax', 'spraySealant', 'wheelWax', 'ceramicCoating', 'coatingTopper',
    'matteSealant', 'tyreDressingWater', 'tyreDressingSolvent', 'tyreCoating', 'linerDressing', 'discInhibitor')),
  product_name text not null,
  applied_at timestamptz not null,
  visit_id uuid references visit on delete set null,
  -- Set when the layer was renewed, stripped or given up.
  ended_at timestamptz check (ended_at >= applied_at),
  foreign key (wheel_set_id, position) references wheel on delete cascade
);
create index protection_live on protection_layer (wheel_set_id, position) where ended_at is null;
