import * as v from 'valibot'
import { parse } from '@/contracts/problems'
import { defaultSettings, settings, type Settings } from '@/contracts/settings'
import { languageOfRegion } from '@/i18n/language'
import { rememberShopLanguage } from '@/i18n/shopLanguage'
import type { Queryable } from '../database'
import { readRow } from '../rows'

/** The settings that hold, and which of the stored ones cannot be read: those have their defaults. */
export interface StoredSettings {
  readonly settings: Settings
  /** Names of parts. */
  readonly unreadable: readonly string[]
  /** Of what is stored; 0: nothing is. */
  readonly version: number
}

/** Part by part, so that one that makes no sense takes no other with it. */
function readPart(value: unknown): Omit<StoredSettings, 'version'> {
  if (value === undefined) return { settings: defaultSettings, unreadable: [] }
  const whole = parse(settings, value)
  if (whole.ok) return { settings: whole.value, unreadable: [] }
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { settings: defaultSettings, unreadable: ['all of them'] }
  const entries = Object.entries(value).map(([name, part]) => {
    const shape = (settings.entries as Partial<Record<string, v.GenericSchema>>)[name]
    const read = shape && v.safeParse(shape, part)
    return { name, isReadable: read?.success === true, part }
  })
  const readable = entries.filter(({ isReadable }) => isReadable)
  return {
    settings: v.parse(settings, Object.fromEntries(readable.map(({ name, part }) => [name, part]))),
    unreadable: entries.filter(({ isReadable }) => !isReadable).map(({ name }) => name),
  }
}

export async function readStoredSettings(database: Queryable): Promise<StoredSettings> {
  const row = await readRow(
    database,
    v.object({ value: v.unknown(), version: v.number() }),
    "select value, version from setting where name = 'shop'",
  )
  const stored = { ...readPart(row?.value), version: row?.version ?? 0 }
  const { region } = stored.settings
  rememberShopLanguage(region && languageOfRegion(region))
  return stored
}

/** The shop's settings; defaults until something was saved, and for what cannot be read. */
export const readSettings = async (database: Queryable): Promise<Settings> =>
  (await readStoredSettings(database)).settings

/**
 * Saves them over the version they were made from; what could not be read before is kept beside, for whoever can make sense of it.
 * @param fromVersion absent: whatever is there
 * @returns false where they were changed meanwhile; nothing is written then
 */
export async function writeSettings(
  database: Queryable,
  value: Settings,
  fromVersion?: number,
): Promise<boolean> {
  if ((await readStoredSettings(database)).unreadable.length > 0)
    await database.query(
      `insert into setting (name, value) select 'shop, unreadable ' || now()::text, value from setting where name = 'shop'`,
    )
  const rows = await database.query(
    `insert into setting (name, value) values ('shop', $1::jsonb)
     on conflict (name) do update set value = excluded.value, changed_at = now(), version = setting.version + 1
       where $2::int is null or setting.version = $2 returning version`,
    [JSON.stringify(value), fromVersion ?? null],
  )
  return rows.length > 0
}
