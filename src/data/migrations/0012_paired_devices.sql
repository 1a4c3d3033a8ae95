-- Phones and tablets of the shop, and how they come in. Of every secret only its hash is kept.
create table paired_device (
  id uuid primary key default gen_random_uuid(),
  name text not null check (length(name) between 1 and 60),
  role text not null check (role in ('owner', 'bay')),
  token_hash text not null unique check (length(token_hash) = 64),
  paired_at timestamptz not null default now(),
  last_seen_at timestamptz,
  revoked_at timestamptz
);

-- One code at a time; used or over, it is no good again.
create table pairing_code (
  is_single boolean primary key default true check (is_single),
  code_hash text not null check (length(code_hash) = 64),
  role text not null check (role in ('owner', 'bay')),
  expires_at timestamptz not null
);

-- What the desk asks for, where a person wants that; and whether the shop's network is let in.
create table desk (
  is_single boolean primary key default true check (is_single),
  passphrase_hash text,
  is_open_to_network boolean not null default false
);
insert into desk default values;

create table desk_session (
  token_hash text primary key check (length(token_hash) = 64),
  begun_at timestamptz not null default now()
);

select count_rows_of(name) from unnest(array['paired_device', 'pairing_code', 'desk', 'desk_session']) as name;
