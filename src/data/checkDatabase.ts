import { message, type Said } from '@/core/message/message'
import { reasonOf } from '@/core/reasonOf'
import { incomingTable, ownObjects } from './ownObjects'
import type { PGlite } from '@electric-sql/pglite'

/** The first version whose tables count their own rows. */
const firstCountingVersion = 6

/**
 * Version of the data: the number of its last migration. 0: it has no tables yet.
 * @throws where the table of migrations cannot be read
 */
export async function dataVersionOf(postgres: PGlite): Promise<number> {
  const [table] = (
    await postgres.query<{ exists: boolean }>("select to_regclass('schema_migration') is not null as exists")
  ).rows
  if (!table?.exists) return 0
  const { rows } = await postgres.query<{ number: number | null }>(
    'select max(number) as number from schema_migration',
  )
  return rows[0]?.number ?? 0
}

/** Rows by table as the tables themselves have counted them. */
export async function keptCounts(postgres: PGlite): Promise<Record<string, number>> {
  const { rows } = await postgres.query<{ name: string; rows: number }>(
    'select name, rows::double precision as rows from table_count order by name',
  )
  return Object.fromEntries(rows.map(({ name, rows: count }) => [name, count]))
}

/** Reads every page of every table, and not an index in its place. */
async function countedNow(postgres: PGlite, table: string): Promise<number | string> {
  try {
    const { rows } = await postgres.query<{ rows: number }>(
      `select count(*)::double precision as rows from ${quoted(table)}`,
    )
    return rows[0]?.rows ?? 0
  } catch (error) {
    return reasonOf(error)
  }
}

const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`

async function tableProblems(postgres: PGlite): Promise<Said[]> {
  const counts = (await dataVersionOf(postgres)) >= firstCountingVersion
  const tables = await postgres.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public' and tablename not in ('schema_migration', 'table_count', '${incomingTable}') order by 1`,
  )
  const kept = counts ? await keptCounts(postgres) : null
  const problems: Said[] = []
  for (const { name } of tables.rows) {
    const found = await countedNow(postgres, name)
    const wanted = kept?.[name]
    if (typeof found === 'string') problems.push(`${name}: ${found}`)
    else if (kept === null) continue
    else if (wanted === undefined) problems.push(message('data.check.noCount', { table: name }))
    else if (wanted !== found) problems.push(message('data.check.rows', { table: name, found, wanted }))
  }
  return problems
}

interface Finding {
  readonly name: string
  readonly msg: string
}

const storedRelations = `select c.oid, c.relname::text as name, c.relkind = 'i' as is_index
  from pg_class c left join pg_am a on a.oid = c.relam
  where (c.relkind in ('r', 't') and c.relnamespace in ('public'::regnamespace, 'pg_toast'::regnamespace))
     or (c.relkind = 'i' and a.amname = 'btree' and c.relpersistence = 'p')`

/** Damaged tables give rows; a damaged index, or a page that cannot be read, throws. */
const findings = (where: string): string => `
  select r.name, found.msg from (${storedRelations}) r
    cross join lateral verify_heapam(r.oid, on_error_stop => true, check_toast => true) found
    where not r.is_index and ${where}
  union all
  select r.name, null from (${storedRelations}) r cross join lateral bt_index_check(r.oid) where r.is_index and ${where}`

/** What the engine's own check says of tables with their long values, and of every index. */
async function structureProblems(postgres: PGlite): Promise<string[]> {
  const look = async (where: string): Promise<string[]> =>
    (await postgres.query<Finding>(findings(where))).rows.flatMap(({ name, msg }) =>
      msg === null ? [] : [`${name}: ${msg}`],
    )
  try {
    return await look('true')
  } catch {
    // One by one, to name them all.
    const { rows } = await postgres.query<{ oid: number; name: string }>(
      `select oid::int as oid, name from (${storedRelations}) r order by oid`,
    )
    const problems: string[] = []
    for (const { oid, name } of rows) {
      problems.push(
        ...(await look(`r.oid = ${Number(oid)}`).catch((error: unknown) => [`${name}: ${reasonOf(error)}`])),
      )
    }
    return problems
  }
}

/**
 * Checks every stored table and index, in a version of the data from the first one on. Returns one line for each problem,
 * naming the table. Empty if everything is sound. Data older than version 6 has no counts to compare with.
 */
export async function damageIn(postgres: PGlite): Promise<Said[]> {
  try {
    await postgres.exec(
      'create extension if not exists amcheck; set enable_indexscan = off; set enable_indexonlyscan = off; set enable_bitmapscan = off',
    )
    const problems = [...(await tableProblems(postgres)), ...(await structureProblems(postgres))]
    await postgres.exec('reset enable_indexscan; reset enable_indexonlyscan; reset enable_bitmapscan')
    return problems
  } catch (error) {
    return [reasonOf(error)]
  }
}

const countedTables = (): string[] =>
  ownObjects().tables.filter((name) => name !== 'schema_migration' && name !== 'table_count')

const literal = (text: string): string => `'${text.replaceAll("'", "''")}'`

/** Takes what is there now for the right number. */
export const recountScript = (): string => `
    create temporary table counted as select tablename as name from pg_tables
      where schemaname = 'public' and tablename in (${countedTables().map(literal).join(', ')});
    do $$ declare t text; begin
      for t in select name from counted loop
        execute format('insert into table_count (name, rows) select %L, count(*) from %I
          on conflict (name) do update set rows = excluded.rows', t, t);
      end loop;
    end $$;
    drop table counted`

/** For a person who continues with what is left. */
export async function recount(postgres: PGlite): Promise<void> {
  if ((await dataVersionOf(postgres)) < firstCountingVersion) return
  await postgres.exec(recountScript())
}
