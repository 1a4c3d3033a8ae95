import { currentTime } from '@/clock'
import { reasonOf } from '@/core/reasonOf'
import { mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { database, dataFolder } from '@/data/connection'
import { QuietMoment } from '@/data/quietMoment'
import { feedOf } from '../live/feedOf'
import { backUp, backupName } from './backUp'
import { backupFolderOf } from './backupFolder'
import { dayOfBackup, supersededBackups } from './retention'

const lookMilliseconds = 60_000
/** The day's backup waits for a quiet moment, but no longer, ms. */
const longestPutOffMilliseconds = 2 * 3_600_000

/** A backup that lies there. */
export interface KeptBackup {
  readonly name: string
  readonly bytes: number
}

/** The backups of a folder, the latest first. */
export function listBackups(folder: string): KeptBackup[] {
  try {
    return readdirSync(/* turbopackIgnore: true */ folder)
      .filter((name) => dayOfBackup(name) !== null)
      .sort()
      .reverse()
      .map((name) => ({ name, bytes: statSync(join(/* turbopackIgnore: true */ folder, name)).size }))
  } catch {
    return []
  }
}

const dayOf = (at: Date): string => at.toISOString().slice(0, 10)

/** Makes the backup of the day, and takes those away that later ones stand for. */
async function makeDailyBackup(folder: string, now: Date): Promise<void> {
  mkdirSync(folder, { recursive: true })
  const file = join(folder, backupName(now))
  writeFileSync(`${file}.part`, await backUp(await database(), now), { mode: 0o600 })
  renameSync(`${file}.part`, file)
  for (const name of supersededBackups(readdirSync(/* turbopackIgnore: true */ folder)))
    rmSync(join(folder, name), { force: true })
}

/** Every day while the program runs, in a quiet moment and without stopping work. */
export function keepDailyBackups(): void {
  const quiet = new QuietMoment(longestPutOffMilliseconds)
  const look = async (): Promise<void> => {
    const now = currentTime()
    const { path } = await backupFolderOf(await database(), dataFolder())
    if (listBackups(path).some(({ name }) => dayOfBackup(name) === dayOf(now))) return
    const { place } = await feedOf(await database())
    if (quiet.isNow(place, performance.now())) await makeDailyBackup(path, now)
  }
  let work = Promise.resolve()
  setInterval(() => {
    work = work.then(look).catch((error: unknown) => {
      process.stderr.write(`The daily backup could not be made: ${reasonOf(error)}\n`)
    })
  }, lookMilliseconds).unref()
}
