import { printError } from '@/i18n/terminal'
import { reasonOf } from '@/core/reasonOf'
import envPaths from 'env-paths'
import { environmentOrEnd } from '../../scripts/lib/environment.mjs'
import type { Database } from '@/data/database'
import { isDataFailure } from '@/data/dataFailure'
import { openDatabase } from '@/data/openDatabase'
import { openServer } from '@/data/server'

environmentOrEnd()

/** The folder that a command works on, as the start script would choose it. */
export const folderHere = (): string =>
  process.env.EVEN_SPOKE_DATA ?? envPaths('even-spoke', { suffix: '' }).data

async function on(
  open: () => Promise<Database>,
  work: (database: Database) => Promise<number>,
): Promise<never> {
  try {
    const database = await open()
    try {
      process.exitCode = await work(database)
    } finally {
      await database.close()
    }
  } catch (error) {
    printError(reasonOf(error))
    process.exit(isDataFailure(error) ? error.exitCode : 70)
  }
  process.exit()
}

/** Runs a command on the data folder of this machine; while the program runs it is refused with who has the folder. */
export const onFolderHere = (work: (database: Database) => Promise<number>): Promise<never> =>
  on(() => openDatabase(folderHere(), { upkeep: false }), work)

/** Runs a command on the data the program would work on: the server that is named, else the folder. */
export const onDataHere = (work: (database: Database) => Promise<number>): Promise<never> => {
  const server = process.env.EVEN_SPOKE_DATABASE_URL
  return server ? on(() => openServer(server), work) : onFolderHere(work)
}
