import { fail, succeed, type Result } from '@/core/result'
import { countsOf } from '@/contracts/backup'
import { restore } from '@/data/backup/restore'
import { isLeftOut, quoted, tablesInOrder } from '@/data/backup/tables'
import type { Database } from '@/data/database'
import { readMigrations } from '@/data/migrate'
import { inPool } from '@/pool/pool'
import type { ReadBackup } from '@/pool/zip'
import { forgetForecast } from '../askForecast'

/** A table of a backup beside what is there now. */
export interface TableChange {
  readonly name: string
  /** Null: the backup has no such table. */
  readonly inBackup: number | null
  readonly here: number
}

/** What a backup holds, and what it would replace. */
export interface BackupLook {
  readonly madeAt: string
  readonly dataVersion: number
  readonly tables: readonly TableChange[]
}

/** A backup that this program can put in place. */
async function readable(zip: Uint8Array): Promise<Result<ReadBackup>> {
  const read = await inPool('readBackup', zip)
  if (!read.ok) return read
  const known = readMigrations().length
  const { dataVersion } = read.value.manifest
  return dataVersion > known
    ? fail({
        path: 'dataVersion',
        found: String(dataVersion),
        mend: `This backup was made by a newer program (this one knows ${known}). Update the program; nothing was changed.`,
      })
    : read
}

/** Looks into a backup; nothing is changed. */
export async function lookAtBackup(database: Database, zip: Uint8Array): Promise<Result<BackupLook>> {
  const read = await readable(zip)
  if (!read.ok) return read
  const { manifest } = read.value
  const inBackup = countsOf(manifest)
  const tables: TableChange[] = []
  for (const { name } of await tablesInOrder(database)) {
    if (isLeftOut(name)) continue
    const [row] = await database.query<{ rows: number }>(`select count(*)::int as rows from ${quoted(name)}`)
    tables.push({ name, inBackup: inBackup.get(name) ?? null, here: row?.rows ?? 0 })
  }
  return succeed({ madeAt: manifest.madeAt, dataVersion: manifest.dataVersion, tables })
}

/** Puts a backup in the place of everything that is stored: all of it or nothing. */
export async function restoreBackup(database: Database, zip: Uint8Array): Promise<Result<null>> {
  const read = await readable(zip)
  if (!read.ok) return read
  const { manifest, tables, pictures } = read.value
  try {
    await restore(database, readMigrations(), { dataVersion: manifest.dataVersion, tables, pictures })
  } catch (error) {
    return fail({
      path: 'file',
      found: error instanceof Error ? error.message.slice(0, 200) : 'rows that do not fit',
      mend: 'This backup breaks a rule of the data; nothing was changed. Choose another one.',
    })
  }
  forgetForecast(database)
  return succeed(null)
}
