import * as v from 'valibot'
import { succeed, type Result } from '@/core/result'
import { parse } from './problems'

export const backupFormat = 'even-spoke/backup/1'

const count = v.pipe(v.number(), v.integer(), v.minValue(0))

/** What lies in a backup, and what each file has to be. */
export const backupManifest = v.strictObject({
  format: v.literal(
    backupFormat,
    `Choose a backup of this program; its manifest names the format ${backupFormat}.`,
  ),
  madeAt: v.pipe(v.string(), v.isoTimestamp()),
  /** Number of the last migration of the data in it. */
  dataVersion: v.pipe(count, v.minValue(1)),
  tables: v.pipe(
    v.array(
      v.strictObject({
        name: v.pipe(
          v.string(),
          v.regex(/^[a-z_]{1,60}$/, 'A table of this program is named in small letters.'),
        ),
        rows: count,
        sha256: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/, 'Give a SHA-256.')),
      }),
    ),
    v.maxLength(200),
  ),
})
export type BackupManifest = v.InferOutput<typeof backupManifest>

/** Tables of which no two have one name. */
export function readManifest(value: unknown): Result<BackupManifest> {
  const read = parse(backupManifest, value)
  if (!read.ok) return read
  const names = read.value.tables.map(({ name }) => name)
  const twice = names.find((name, at) => names.indexOf(name) !== at)
  return twice === undefined
    ? succeed(read.value)
    : { ok: false, problems: [{ path: 'tables', found: twice, mend: 'Name each table once.' }] }
}

export const tableFile = (name: string): string => `tables/${name}.json`
