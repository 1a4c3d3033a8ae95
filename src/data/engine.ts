import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { amcheck } from '@electric-sql/pglite/contrib/amcheck'
import { binaryColumns } from './binaryColumns'
import { durableStartParameters, SyncedFiles } from './folder/syncedFiles'

export interface Engine {
  readonly postgres: PGlite
  readonly files: SyncedFiles
}

/**
 * Starts the engine on a database folder; makes the database where the folder is empty.
 * @param mayWrite asked before every change to a file
 */
export async function startEngine(databaseFolder: string, mayWrite: () => boolean): Promise<Engine> {
  // The engine's own note of who runs it. The lock of the data folder is held, so whatever it says is stale; an empty
  // one would stop the start.
  rmSync(join(databaseFolder, 'postmaster.pid'), { force: true })
  const files = new SyncedFiles(databaseFolder, mayWrite)
  const postgres = await PGlite.create({
    ...binaryColumns,
    fs: files,
    extensions: { amcheck },
    startParams: durableStartParameters(PGlite.defaultStartParams),
  })
  return { postgres, files }
}
