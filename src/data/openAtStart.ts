import { closeDatabase, database } from './connection'
import { isDataFailure } from './dataFailure'

/** Opens the database or ends the process with a plain text and the exit code of the reason. */
export async function openAtStart(): Promise<void> {
  try {
    const opened = await database()
    // The engine has no cleaner of its own: dead rows and old statistics would slow every query.
    await opened.query('vacuum analyze')
  } catch (error) {
    const failure = isDataFailure(error) ? error : null
    process.stderr.write(`${failure?.message ?? (error instanceof Error ? error.message : String(error))}\n`)
    process.exit(failure?.exitCode ?? 70)
  }
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void closeDatabase())
}
