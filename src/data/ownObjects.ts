import { message } from '@/core/message/message'
import type { Queryable } from './database'
import { DataFailure } from './dataFailure'
import { readMigrations } from './migrate'

/** Names of what the migrations create in the database. */
export interface OwnObjects {
  readonly tables: readonly string[]
  readonly sequences: readonly string[]
  readonly functions: readonly string[]
}

const migrationTable = 'schema_migration'
/** Where pictures of a restore wait until it is complete; ours, but none of the tables that hold the data. */
export const incomingTable = 'incoming_picture'
const firstMigration = '0001_first_tables.sql'

const named = (kind: 'table' | 'sequence' | 'function', scripts: readonly string[]): string[] => [
  ...new Set(
    scripts.flatMap((sql) =>
      [...sql.matchAll(new RegExp(`^create (?:or replace )?${kind} (\\w+)`, 'gim'))].flatMap(([, name]) =>
        name ? [name] : [],
      ),
    ),
  ),
]

let known: OwnObjects | null = null

/** Everything this program creates, in any version. Whatever else is in a database belongs to somebody else. */
export function ownObjects(): OwnObjects {
  const read = (): OwnObjects => {
    const scripts = readMigrations().map(({ sql }) => sql)
    return {
      tables: [migrationTable, ...named('table', scripts)],
      sequences: named('sequence', scripts),
      functions: named('function', scripts),
    }
  }
  return (known ??= read())
}

/** Tables, views and sequences in a database that this program did not create, by name. Those of extensions do not count. */
export async function foreignObjects(database: Queryable): Promise<string[]> {
  const { tables, sequences } = ownObjects()
  const rows = await database.query<{ name: string }>(
    `select c.relname::text as name from pg_class c
     where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p', 'v', 'm', 'f', 'S')
       and c.relname <> all ($1)
       -- Sequences of identity columns belong to their table.
       and not exists (select 1 from pg_depend d where d.objid = c.oid and d.deptype in ('e', 'i', 'a'))
     order by 1`,
    [[...tables, ...sequences, incomingTable]],
  )
  return rows.map(({ name }) => name)
}

/** Whether the tables in a database are this program's: its list of migrations begins with the first one. */
export async function holdsOwnData(database: Queryable): Promise<boolean> {
  const columns = await database.query<{ name: string }>(
    `select a.attname::text as name from pg_attribute a
     where a.attrelid = to_regclass('public.${migrationTable}') and a.attnum > 0 and a.attname in ('number', 'name', 'checksum')`,
  )
  if (columns.length < 3) return false
  const first = await database.query(
    `select 1 from public.${migrationTable} where number = 1 and name = '${firstMigration}'`,
  )
  return first.length > 0
}

/** Names listed for a person; more than these tell nothing more. */
const maxNamesListed = 5

const list = (names: readonly string[]): string =>
  names.length <= maxNamesListed
    ? names.join(', ')
    : `${names.slice(0, maxNamesListed).join(', ')} and ${names.length - maxNamesListed} more`

/**
 * Makes sure that a database is either empty or this program's own.
 * @param place how to name the database in the message
 * @throws DataFailure `foreignData` if another program's tables are in it
 */
export async function requireOwnDatabase(database: Queryable, place: string): Promise<void> {
  if (await holdsOwnData(database)) return
  const { tables } = ownObjects()
  const inTheWay = await database.query<{ name: string }>(
    `select c.relname::text as name from pg_class c
     where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p', 'v', 'm', 'f') and c.relname = any ($1) order by 1`,
    [[...tables]],
  )
  const foreign = [...new Set([...(await foreignObjects(database)), ...inTheWay.map(({ name }) => name)])]
  if (foreign.length === 0) return
  throw new DataFailure('foreignData', message('data.foreign', { place, tables: list(foreign) }))
}
