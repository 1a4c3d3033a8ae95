-- Photographs of wheels. What is said of them stands apart from the pictures, so that no list ever reads those.
create table photograph (
  id uuid primary key,
  wheel_set_id uuid not null references wheel_set on delete cascade,
  -- In which job it was taken; null: outside one.
  job_id uuid references job on delete set null,
  -- Empty: of the whole set.
  positions text[] not null,
  taken_at timestamptz not null,
  width_pixels integer not null check (width_pixels between 1 and 10000),
  height_pixels integer not null check (height_pixels between 1 and 10000),
  -- Of both pictures together.
  size_bytes integer not null check (size_bytes > 0)
);
create index photograph_of_wheel_set on photograph (wheel_set_id, taken_at desc, id desc);
create index photograph_of_job on photograph (job_id);

create table photograph_file (
  photograph_id uuid not null references photograph on delete cascade,
  size text not null check (size in ('whole', 'small')),
  jpeg bytea not null check (octet_length(jpeg) between 1 and 2000000),
  primary key (photograph_id, size)
);
-- Pictures do not shrink further.
alter table photograph_file alter column jpeg set storage external;

create trigger say_change after insert or delete on photograph
  for each statement execute function say_change('sets');

select count_rows_of(name) from unnest(array['photograph', 'photograph_file']) as name;
