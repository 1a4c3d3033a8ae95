import envPaths from 'env-paths'
import { isDataFailure } from '@/data/dataFailure'
import { openDatabase, type StoredDatabase } from '@/data/openDatabase'

/** The folder that a command works on, as the start script would choose it. */
export const folderHere = (): string =>
  process.env.EVEN_SPOKE_DATA ?? envPaths('even-spoke', { suffix: '' }).data

/** Runs a command on the data of this machine; while the program runs it is refused with who has the folder. */
export async function onDataHere(work: (database: StoredDatabase) => Promise<number>): Promise<never> {
  try {
    const database = await openDatabase(folderHere(), { upkeep: false })
    try {
      process.exitCode = await work(database)
    } finally {
      await database.close()
    }
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`)
    process.exit(isDataFailure(error) ? error.exitCode : 70)
  }
  process.exit()
}

/** Says what was refused, field by field. */
export function sayProblems(
  problems: readonly { readonly path: string; readonly found: string; readonly mend: string }[],
): number {
  for (const { path, found, mend } of problems) process.stderr.write(`${path || 'file'}: ${found}. ${mend}\n`)
  return 2
}
