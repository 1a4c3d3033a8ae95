-- What lists of jobs show stands in columns of its own: reading it out of the whole plan for every list is slow.
alter table job
  add column headline text not null generated always as (plan_file->>'headline') stored,
  add column operator_seconds double precision not null
    generated always as ((plan_file->>'operatorSeconds')::double precision) stored,
  add column step_count integer not null generated always as (jsonb_array_length(plan_file->'steps')) stored,
  add column first_corner jsonb not null generated always as (job_file->'corners'->0) stored;
