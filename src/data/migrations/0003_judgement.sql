-- What the judgement needs beside the label: wear, fluoride, other packs; tools and their duty; brakes and liners.
alter table product
  add column wear text check (wear in ('none', 'hardly', 'some', 'strips')),
  add column contains_fluoride boolean not null default false,
  add column archived boolean not null default false,
  add column version integer not null default 1 check (version > 0);

create table product_pack (
  product_id text not null references product on delete cascade,
  number integer not null check (number between 1 and 8),
  millilitres double precision not null check (millilitres > 0),
  price_minor bigint not null check (price_minor > 0),
  primary key (product_id, number)
);

alter table tool add column dedicated_to text check (dedicated_to in ('wheel', 'tyre', 'arch', 'paint'));

alter table vehicle
  add column arch_liner text not null default 'plastic' check (arch_liner in ('plastic', 'fabric')),
  add column front_pads text not null default 'organic' check (front_pads in ('ceramicPads', 'organic', 'semiMetallic', 'track')),
  add column front_discs text not null default 'iron' check (front_discs in ('iron', 'carbonCeramic', 'drum')),
  add column rear_pads text not null default 'organic' check (rear_pads in ('ceramicPads', 'organic', 'semiMetallic', 'track')),
  add column rear_discs text not null default 'iron' check (rear_discs in ('iron', 'carbonCeramic', 'drum')),
  add column kilometres_per_week double precision not null default 250 check (kilometres_per_week between 0 and 10000),
  -- Learnt from the difference between expected and graded brake dust.
  add column dust_factor double precision not null default 1 check (dust_factor between 0.25 and 4);

-- A bottle that was mixed, so that its label and its age are known.
create table bottle (
  id uuid primary key default gen_random_uuid(),
  product_id text references product on delete set null,
  product_name text not null,
  family text not null,
  fraction double precision not null check (fraction > 0 and fraction <= 1),
  total_millilitres double precision not null check (total_millilitres > 0),
  mixed_at timestamptz not null,
  mixed_by text not null default '' check (length(mixed_by) <= 80),
  emptied_at timestamptz check (emptied_at >= mixed_at)
);
create index bottle_full on bottle (mixed_at) where emptied_at is null;
