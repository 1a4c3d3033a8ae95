-- Says what has changed to every process that listens: a topic, and of which one. Twice in one transaction it is said once.
create function say_change() returns trigger language plpgsql as $$
begin
  perform pg_notify('even_spoke', tg_argv[0]);
  return null;
end $$;

create function say_change_of_job() returns trigger language plpgsql as $$
begin
  if tg_table_name = 'run_event' then
    perform pg_notify('even_spoke', 'job ' || new.job_id);
  elsif tg_op = 'DELETE' then
    perform pg_notify('even_spoke', 'job ' || old.id);
  else
    perform pg_notify('even_spoke', 'job ' || new.id);
  end if;
  return null;
end $$;

create function say_change_of_device() returns trigger language plpgsql as $$
begin
  if new.revoked_at is distinct from old.revoked_at then
    perform pg_notify('even_spoke', 'device ' || new.id);
  end if;
  return null;
end $$;

create trigger say_change after insert on run_event for each row execute function say_change_of_job();
create trigger say_change after insert or update or delete on job for each row execute function say_change_of_job();
create trigger say_change after update on paired_device for each row execute function say_change_of_device();
create trigger say_change after insert or update or delete on protection_change
  for each statement execute function say_change('due');
create trigger say_change after insert or update or delete on due_mark
  for each statement execute function say_change('due');
create trigger say_change after insert or update or delete on reminder
  for each statement execute function say_change('due');
create trigger say_change after insert or update or delete on product
  for each statement execute function say_change('stock');
create trigger say_change after insert or update or delete on bottle
  for each statement execute function say_change('stock');
create trigger say_change after insert or update or delete on wheel_set
  for each statement execute function say_change('sets');
