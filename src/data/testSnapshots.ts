import { PGlite, type PGliteOptions } from '@electric-sql/pglite'
import { cpSync, existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** A database that a test run has made before its first test; absent: there is none. */
export function snapshot(name: 'empty' | 'migrated'): { readonly loadDataDir?: Blob } {
  const folder = process.env.EVEN_SPOKE_TEST_SNAPSHOTS
  const path = folder && join(folder, `${name}.tar`)
  return path && existsSync(path) ? { loadDataDir: new Blob([readFileSync(path)]) } : {}
}

/** An engine with an empty database in memory. */
export const emptyEngine = (options: PGliteOptions = {}): Promise<PGlite> =>
  PGlite.create({ ...options, ...snapshot('empty') })

/** A data folder as its first start leaves it, or one from before the first migration. */
export function newDataFolder(state: 'data' | 'unmigrated' = 'data'): string {
  const folder = mkdtempSync(join(tmpdir(), 'even-spoke-data-'))
  const made = process.env.EVEN_SPOKE_TEST_SNAPSHOTS
  if (made) cpSync(join(made, state), folder, { recursive: true })
  return folder
}
