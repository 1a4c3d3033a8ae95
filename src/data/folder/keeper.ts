import { message, type Said } from '@/core/message/message'
import { freeBytes, freeBytesToWrite, requireRoom } from './room'
import { currentTime } from '@/clock'
import { reasonOf } from '@/core/reasonOf'
import type { Engine } from '../engine'
import { QuietMoment } from '../quietMoment'
import { copyWhileRunning, listCopies, type About } from './goodCopies'

/** A checkpoint after so much log keeps a start after a power cut short and the log small, bytes. */
const logBytesOfCheckpoint = 8 * 1024 * 1024
/** And after so long, however little was written, ms. */
const checkpointMilliseconds = 10 * 60_000
const lookMilliseconds = 15_000
const dayMilliseconds = 24 * 3_600_000
/** The day's copy waits for a quiet moment, but no longer, ms. */
const longestPutOffMilliseconds = 2 * 3_600_000

export interface Keeper {
  /** Does something of this kind in its turn: the engine makes one copy at a time. */
  inTurn<T>(task: () => Promise<T>): Promise<T>
  stop(): Promise<void>
}

/**
 * Does in the background what the engine does not do by itself here: checkpoints, and a good copy once a day.
 * @param copies also makes the daily copy
 */
export function startKeeper(
  folder: string,
  engine: Engine,
  countRows: () => Promise<About['rows']>,
  { copies, say, now = currentTime }: { copies: boolean; say: (said: Said) => void; now?: () => Date },
): Keeper {
  let sinceCheckpoint = engine.files.logBytes
  let checkpointAt = performance.now()
  const quiet = new QuietMoment(longestPutOffMilliseconds)
  let work: Promise<void> = Promise.resolve()

  const checkpoint = async (): Promise<void> => {
    const written = engine.files.logBytes - sinceCheckpoint
    const old = performance.now() - checkpointAt > checkpointMilliseconds
    if (written < logBytesOfCheckpoint && !(old && written > 0)) return
    // It writes everything that waits; without room for that the engine would never end.
    if (freeBytes(folder) < freeBytesToWrite) return
    await engine.postgres.exec('checkpoint')
    sinceCheckpoint = engine.files.logBytes
    checkpointAt = performance.now()
  }
  const copy = async (): Promise<void> => {
    const newest = listCopies(folder)[0]
    // A clock set back makes the newest look to come; then a copy is due, too.
    if (freeBytes(folder) < freeBytesToWrite) return
    const age = newest ? Math.abs(now().getTime() - new Date(newest.madeAt).getTime()) : Infinity
    if (age <= dayMilliseconds) return
    // Without any there is nothing to fall back on yet.
    if (!newest || quiet.isNow(engine.files.logBytes, performance.now()))
      await copyWhileRunning(folder, engine, countRows, now())
  }
  const look = (): void => {
    work = work
      .then(checkpoint)
      .then(() => (copies ? copy() : undefined))
      .catch((error: unknown) => say(message('data.upkeepFailed', { folder, reason: reasonOf(error) })))
  }
  const timer = setInterval(look, lookMilliseconds)
  timer.unref()
  return {
    inTurn: (task) => {
      const done = work.then(() => {
        requireRoom(folder, freeBytesToWrite)
        return task()
      })
      work = done.then(
        () => undefined,
        () => undefined,
      )
      return done
    },
    stop: () => {
      clearInterval(timer)
      return work
    },
  }
}
