import { message } from '@/core/message/message'
import { printError } from '@/i18n/terminal'
import { reasonOf } from '@/core/reasonOf'
import { constants } from 'node:os'
import { closeDatabase, database } from './connection'
import { isDataFailure } from './dataFailure'

/** Longer than any clean stop takes; then the process ends all the same, ms. Nothing acknowledged is lost by that. */
const longestStopMilliseconds = 30_000

/** Opens the database or ends the process with a plain text and the exit code of the reason. */
export async function openAtStart(): Promise<void> {
  stopInOrder()
  try {
    await database()
  } catch (error) {
    const failure = isDataFailure(error) ? error : null
    printError(failure?.said ?? reasonOf(error))
    process.exit(failure?.exitCode ?? 70)
  }
}

/** The program's own server takes no more requests and ends those that run; a plain one offers no such thing. */
const quiet = async (): Promise<void> =>
  (globalThis as typeof globalThis & { evenSpokeQuiet?: () => Promise<void> }).evenSpokeQuiet?.()

/**
 * A request to stop, or the end of the script that started this process, closes the database before the process ends.
 * The framework's own handlers are taken off: they end the process without waiting for that.
 */
function stopInOrder(): void {
  let stopping = false
  const stop = (code: number): void => {
    if (stopping) return
    stopping = true
    setTimeout(() => process.exit(code), longestStopMilliseconds).unref()
    quiet()
      .then(closeDatabase)
      .catch((error: unknown) => printError(message('data.closeFailed', { reason: reasonOf(error) })))
      .finally(() => process.exit(code))
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.removeAllListeners(signal)
    process.on(signal, () => stop(128 + constants.signals[signal]))
  }
  // The start script holds the other end; it closes with that process, however it ends.
  if (process.env.EVEN_SPOKE_STOPS_WITH_PARENT === '1') process.stdin.on('close', () => stop(0)).resume()
}
