import { parse } from '@/contracts/problems'
import { defaultSettings, settings, type Settings } from '@/contracts/settings'
import type { Queryable } from '../database'

/** The shop's settings; defaults until something was saved. */
export async function readSettings(database: Queryable): Promise<Settings> {
  const rows = await database.query<{ value: unknown }>("select value from setting where name = 'shop'")
  if (!rows[0]) return defaultSettings
  const read = parse(settings, rows[0].value)
  if (!read.ok)
    throw new Error(`Stored settings are damaged: ${read.problems[0]?.path} ${read.problems[0]?.mend}`)
  return read.value
}

export async function writeSettings(database: Queryable, value: Settings): Promise<void> {
  await database.query(
    `insert into setting (name, value) values ('shop', $1::jsonb)
     on conflict (name) do update set value = excluded.value, changed_at = now()`,
    [JSON.stringify(value)],
  )
}
