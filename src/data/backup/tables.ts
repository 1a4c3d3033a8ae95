import type { Queryable } from '../database'
import { ownObjects } from '../ownObjects'

/** What no backup holds: secrets of devices and of the desk, and what is worked out from the rest. */
export const leftOut = [
  'paired_device',
  'pairing_code',
  'desk',
  'desk_session',
  'table_count',
  'schema_migration',
] as const

export const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`

/** A table, the columns that are written, and the key its rows are ordered by. */
export interface Table {
  readonly name: string
  readonly columns: readonly string[]
  readonly key: readonly string[]
}

/** The program's tables, each after those it refers to. Tables of others in the same database are not among them. */
export async function tablesInOrder(database: Queryable): Promise<Table[]> {
  const rows = await database.query<{ name: string; columns: string[]; key: string[]; refers: string[] }>(
    `select t.relname::text as name,
       (select array_agg(a.attname::text order by a.attnum) from pg_attribute a
         where a.attrelid = t.oid and a.attnum > 0 and not a.attisdropped and a.attgenerated = '') as columns,
       coalesce((select array_agg(a.attname::text order by array_position(i.indkey::int2[], a.attnum)) from pg_index i
         join pg_attribute a on a.attrelid = t.oid and a.attnum = any(i.indkey)
         where i.indrelid = t.oid and i.indisprimary), '{}') as key,
       coalesce((select array_agg(distinct r.relname::text) from pg_constraint c join pg_class r on r.oid = c.confrelid
         where c.conrelid = t.oid and c.contype = 'f' and c.confrelid <> t.oid), '{}') as refers
     from pg_class t where t.relkind = 'r' and t.relnamespace = 'public'::regnamespace and t.relname = any ($1) order by t.relname`,
    [ownObjects().tables],
  )
  const placed: string[] = []
  const ordered: Table[] = []
  let left = rows
  while (left.length > 0) {
    const ready = left.filter(({ refers }) => refers.every((name) => placed.includes(name)))
    if (ready.length === 0)
      throw new Error(`Tables refer to one another: ${left.map(({ name }) => name).join(', ')}`)
    placed.push(...ready.map(({ name }) => name))
    ordered.push(...ready)
    left = left.filter((table) => !ready.includes(table))
  }
  return ordered
}

export const isLeftOut = (name: string): boolean => (leftOut as readonly string[]).includes(name)
