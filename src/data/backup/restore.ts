import { pictureTable, type PictureFile } from '@/contracts/backup'
import { recountScript } from '../checkDatabase'
import type { Database, DatabaseTransaction } from '../database'
import { applyMigration, createMigrationTable, type Migration } from '../migrate'
import { fillPictures } from './pictures'
import { isLeftOut, quoted, tablesInOrder } from './tables'

/** What was dumped, to be put in place. */
export interface Restored {
  /** Number of the last migration of the dump. */
  readonly dataVersion: number
  readonly tables: readonly { readonly name: string; readonly rows: readonly unknown[] }[]
  readonly pictures: readonly PictureFile[]
}

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

/** Takes every table, sequence and function of the program away; what an extension brought stays. */
const emptyScript = `
  do $$ declare one record; begin
    for one in select c.oid::regclass as name from pg_class c
      where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace
        and not exists (select 1 from pg_depend d where d.objid = c.oid and d.deptype = 'e') loop
      execute format('drop table if exists %s cascade', one.name);
    end loop;
    for one in select c.oid::regclass as name from pg_class c
      where c.relkind = 'S' and c.relnamespace = 'public'::regnamespace loop
      execute format('drop sequence if exists %s cascade', one.name);
    end loop;
    for one in select p.oid::regprocedure as name from pg_proc p
      where p.pronamespace = 'public'::regnamespace
        and not exists (select 1 from pg_depend d where d.objid = p.oid and d.deptype = 'e') loop
      execute format('drop function if exists %s cascade', one.name);
    end loop;
  end $$`

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

/**
 * Puts what was dumped in the place of everything that is stored, brought up to this program's version: all of it or nothing.
 * @param migrations at least those of the dump
 */
export function restore(
  database: Database,
  migrations: readonly Migration[],
  { dataVersion, tables, pictures }: Restored,
): Promise<void> {
  return database.transaction(async (transaction) => {
    const kept = await ownRows(transaction)
    await transaction.script(emptyScript)
    await createMigrationTable(transaction)
    for (const migration of migrations.slice(0, dataVersion)) await applyMigration(transaction, migration)
    const rowsOf = new Map(tables.map(({ name, rows }) => [name, rows]))
    for (const { name, columns } of await tablesInOrder(transaction)) {
      if (name === pictureTable) await fillPictures(transaction, pictures)
      const rows = rowsOf.get(name)
      if (!rows || isLeftOut(name) || name === pictureTable) continue
      await transaction.script(
        `alter table ${quoted(name)} disable trigger user; delete from ${quoted(name)}`,
      )
      await fill(transaction, name, columns, rows)
      await transaction.script(`alter table ${quoted(name)} enable trigger user`)
    }
    await transaction.script(sequencesScript)
    for (const migration of migrations.slice(dataVersion)) await applyMigration(transaction, migration)
    for (const { name, columns } of await tablesInOrder(transaction)) {
      const rows = kept.get(name)
      if (!rows) continue
      await transaction.script(`delete from ${quoted(name)}`)
      await fill(transaction, name, columns, JSON.parse(rows) as unknown[])
    }
    await transaction.script(recountScript)
  })
}
