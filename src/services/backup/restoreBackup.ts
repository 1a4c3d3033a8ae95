import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import { countsOf, type BackupManifest } from '@/contracts/backup'
import { reasonOf } from '@/core/reasonOf'
import { RowRefused } from '@/data/backup/documents'
import { restore } from '@/data/backup/restore'
import { isLeftOut, quoted, tablesInOrder } from '@/data/backup/tables'
import type { Database } from '@/data/database'
import { readMigrations } from '@/data/migrate'
import { inPool } from '@/pool/pool'
import { openBackup } from '@/pool/backup/readBackup'
import { isDataFailure } from '@/data/dataFailure'
import { forgetForecast } from '@/services/forecast'

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

/** The manifest of a backup that this program can restore. */
async function readable(path: string): Promise<Result<BackupManifest>> {
  const read = await inPool('readBackup', path)
  if (!read.ok) return read
  const known = readMigrations().length
  const { dataVersion } = read.value
  return dataVersion > known
    ? fail({
        path: 'dataVersion',
        found: String(dataVersion),
        fix: message('problems.backup.newer', { version: dataVersion, known }),
      })
    : read
}

/** Looks into a backup file; nothing is changed. */
export async function lookAtBackup(database: Database, path: string): Promise<Result<BackupLook>> {
  const read = await readable(path)
  if (!read.ok) return read
  const { madeAt, dataVersion } = read.value
  const inBackup = countsOf(read.value)
  const tables: TableChange[] = []
  for (const { name } of await tablesInOrder(database)) {
    if (isLeftOut(name)) continue
    const [row] = await database.query<{ rows: number }>(`select count(*)::int as rows from ${quoted(name)}`)
    tables.push({ name, inBackup: inBackup.get(name) ?? null, here: row?.rows ?? 0 })
  }
  return succeed({ madeAt, dataVersion, tables })
}

/** Something of another program depends on a table. */
const dependentObjects = '2BP01'

function refusalOf(error: unknown): Result<never> {
  if (isDataFailure(error)) throw error
  if (error instanceof RowRefused)
    return fail({
      path: `tables/${error.table}.json`,
      found: `${error.row}: ${error.found}`.slice(0, 300),
      fix: message('problems.backup.badRow'),
    })
  if ((error as { code?: string } | null)?.code === dependentObjects)
    return fail({
      path: 'database',
      found: reasonOf(error).slice(0, 200),
      fix: message('problems.backup.dependents'),
    })
  return fail({
    path: 'file',
    found: reasonOf(error).slice(0, 200),
    fix: message('problems.backup.breaksRule'),
  })
}

/** Replaces everything that is stored by a backup file: all of it or nothing. */
export async function restoreBackup(database: Database, path: string): Promise<Result<null>> {
  const read = await readable(path)
  if (!read.ok) return read
  const contents = await openBackup(path, read.value)
  try {
    await restore(database, readMigrations(), { dataVersion: read.value.dataVersion, ...contents })
  } catch (error) {
    return refusalOf(error)
  } finally {
    contents.close()
  }
  forgetForecast(database)
  return succeed(null)
}
