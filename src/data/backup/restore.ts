import { pictureTable, type PictureFile } from '@/contracts/backup'
import { recountScript } from '../checkDatabase'
import type { Database, DatabaseTransaction } from '../database'
import { applyMigration, createMigrationTable, type Migration } from '../migrate'
import { ownObjects } from '../ownObjects'
import { receivePictures, type IncomingPictures } from './incomingPictures'
import { parseRows } from './documents'
import type { DumpReader } from './dump'
import { rowContract } from './rowContract'
import { isLeftOut, quoted, tablesInOrder } from './tables'

/** Where a restore takes everything from. It is read table by table, so that little is held at a time. */
export interface RestoreSource {
  /** Number of the last migration of what is restored. */
  readonly dataVersion: number
  /** All rows of a table; null: it holds none of it. */
  rowsOf(table: string): Promise<readonly unknown[] | null>
  pictures(): AsyncIterable<PictureFile>
}

/** A source that reads another database. */
export const sourceOf = (reader: DumpReader): RestoreSource => ({
  dataVersion: reader.dataVersion,
  rowsOf: async (table) => {
    if (!reader.tables.includes(table)) return null
    const rows: unknown[] = []
    for await (const lines of reader.rowsOf(table)) for (const line of lines) rows.push(JSON.parse(line))
    return rows
  },
  pictures: async function* () {
    for (const of of reader.pictures) yield { ...of, jpeg: await reader.picture(of) }
  },
})

/** Rows that are written at a time. */
const stride = 2000

/** What stays as it is here, whatever comes from elsewhere: the devices and the desk of this machine. */
const own = ['paired_device', 'desk', 'desk_session'] as const

async function ownRows(transaction: DatabaseTransaction): Promise<Map<string, string>> {
  const there = new Set((await tablesInOrder(transaction)).map(({ name }) => name))
  const rows = new Map<string, string>()
  for (const name of own) {
    if (!there.has(name)) continue
    const [all] = await transaction.query<{ rows: string }>(
      `select coalesce(json_agg(r), '[]')::text as rows from ${quoted(name)} r`,
    )
    rows.set(name, all?.rows ?? '[]')
  }
  return rows
}

/**
 * Drops the program's own tables, sequences and functions. Nothing of others is touched: if something of theirs depends on
 * a table, the database refuses and the restore changes nothing.
 */
async function dropOwn(transaction: DatabaseTransaction): Promise<void> {
  const { tables, sequences, functions } = ownObjects()
  const found = await transaction.query<{ kind: string; name: string }>(
    `select 'table' as kind, c.oid::regclass::text as name from pg_class c
       where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace and c.relname = any ($1)
     union all
     select 'sequence', c.oid::regclass::text from pg_class c
       where c.relkind = 'S' and c.relnamespace = 'public'::regnamespace and c.relname = any ($2)
     union all
     select 'function', p.oid::regprocedure::text from pg_proc p
       where p.pronamespace = 'public'::regnamespace and p.proname = any ($3)`,
    [tables, sequences, functions],
  )
  for (const kind of ['table', 'sequence', 'function']) {
    const names = found.filter((one) => one.kind === kind).map(({ name }) => name)
    // All at once, because they refer to one another.
    if (names.length > 0) await transaction.script(`drop ${kind} ${names.join(', ')}`)
  }
}

async function fill(
  transaction: DatabaseTransaction,
  name: string,
  columns: readonly string[],
  rows: readonly unknown[],
) {
  const list = columns.map(quoted).join(', ')
  for (let at = 0; at < rows.length; at += stride)
    await transaction.query(
      `insert into ${quoted(name)} (${list}) select ${list} from json_populate_recordset(null::${quoted(name)}, $1::json)`,
      [JSON.stringify(rows.slice(at, at + stride))],
    )
}

/** Numbers that are counted on go on after the last one. */
const sequencesScript = `
  do $$ declare last bigint; begin
    if to_regclass('protection_change_number') is not null then
      select max(number) into last from protection_change;
      if last is not null then perform setval('protection_change_number', last); end if;
    end if;
    if to_regclass('stock_movement') is not null then
      select max(number) into last from stock_movement;
      if last is not null then perform setval(pg_get_serial_sequence('stock_movement', 'number'), last); end if;
    end if;
  end $$`

/** Replaces everything in one transaction. */
const replace = (
  database: Database,
  migrations: readonly Migration[],
  source: RestoreSource,
  pictures: IncomingPictures,
): Promise<void> =>
  database.transaction(async (transaction) => {
    const kept = await ownRows(transaction)
    await dropOwn(transaction)
    await createMigrationTable(transaction)
    for (const migration of migrations.slice(0, source.dataVersion))
      await applyMigration(transaction, migration)
    for (const { name, columns } of await tablesInOrder(transaction)) {
      if (name === pictureTable) await pictures.take(transaction)
      if (isLeftOut(name) || name === pictureTable) continue
      const rows = await source.rowsOf(name)
      if (!rows) continue
      parseRows(name, await rowContract(transaction, name), rows)
      await transaction.script(
        `alter table ${quoted(name)} disable trigger user; delete from ${quoted(name)}`,
      )
      await fill(transaction, name, columns, rows)
      await transaction.script(`alter table ${quoted(name)} enable trigger user`)
    }
    await transaction.script(sequencesScript)
    for (const migration of migrations.slice(source.dataVersion)) await applyMigration(transaction, migration)
    for (const { name, columns } of await tablesInOrder(transaction)) {
      const rows = kept.get(name)
      if (!rows) continue
      await transaction.script(`delete from ${quoted(name)}`)
      await fill(transaction, name, columns, JSON.parse(rows) as unknown[])
    }
    await transaction.script(recountScript())
  })

/**
 * Replaces everything that is stored, brought up to this program's version: all of it or nothing.
 * @param migrations at least those of the source
 * @throws RowRefused for a row that its table cannot hold; nothing is changed then
 */
export async function restore(
  database: Database,
  migrations: readonly Migration[],
  source: RestoreSource,
): Promise<void> {
  const pictures = await receivePictures(database, source.pictures())
  try {
    await replace(database, migrations, source, pictures)
  } catch (error) {
    await pictures.forget().catch(() => undefined)
    throw error
  }
  await pictures.forget()
}
