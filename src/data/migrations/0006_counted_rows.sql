-- How many rows each table should have, kept by the tables themselves: a start that finds fewer knows that a file was cut
-- short or emptied. Every table gets the three triggers; src/data/schema.test.ts holds that.
create table table_count (
  name text primary key,
  rows bigint not null check (rows >= 0)
);

create function count_rows() returns trigger language plpgsql as $$
declare
  difference bigint;
begin
  if tg_op = 'TRUNCATE' then
    update table_count set rows = 0 where name = tg_table_name;
    return null;
  end if;
  select count(*) into difference from changed;
  if tg_op = 'DELETE' then
    difference := -difference;
  end if;
  if difference <> 0 then
    update table_count set rows = rows + difference where name = tg_table_name;
  end if;
  return null;
end $$;

-- Counts a table from now on; a later migration calls it for each new table.
create function count_rows_of(table_name text) returns void language plpgsql as $$
begin
  execute format('create trigger count_inserted after insert on %I referencing new table as changed
    for each statement execute function count_rows()', table_name);
  execute format('create trigger count_deleted after delete on %I referencing old table as changed
    for each statement execute function count_rows()', table_name);
  execute format('create trigger count_truncated after truncate on %I
    for each statement execute function count_rows()', table_name);
  execute format('insert into table_count (name, rows) select %L, count(*) from %I', table_name, table_name);
end $$;

select count_rows_of(name) from unnest(array['setting', 'vehicle', 'wheel_set', 'wheel', 'wheel_finish', 'product',
  'product_rating', 'product_pack', 'tool', 'job', 'run_event', 'visit', 'visit_product', 'protection_layer',
  'bottle']) as name;
