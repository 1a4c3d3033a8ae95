import { reasonOf } from '@/core/reasonOf'
import { mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { database, dataFolder } from '@/data/connection'
import { backUp, backupName } from './backUp'
import { dayOfBackup, supersededBackups } from './retention'

const hourMilliseconds = 3_600_000

/** Where the daily backups lie; another disk is better than the one the data is on. */
export const backupFolder = (): string => process.env.EVEN_SPOKE_BACKUPS ?? join(dataFolder(), 'backups')

/** A backup that lies there. */
export interface KeptBackup {
  readonly name: string
  readonly bytes: number
}

/** The latest first. */
export function listBackups(): KeptBackup[] {
  try {
    return readdirSync(/* turbopackIgnore: true */ backupFolder())
      .filter((name) => dayOfBackup(name) !== null)
      .sort()
      .reverse()
      .map((name) => ({ name, bytes: statSync(join(backupFolder(), name)).size }))
  } catch {
    return []
  }
}

/** Makes the backup of the day, unless there is one, and takes those away that later ones stand for. */
export async function keepDailyBackup(now: Date): Promise<void> {
  const today = now.toISOString().slice(0, 10)
  if (listBackups().some(({ name }) => dayOfBackup(name) === today)) return
  const folder = backupFolder()
  mkdirSync(folder, { recursive: true })
  const file = join(folder, backupName(now))
  writeFileSync(`${file}.part`, await backUp(await database(), now), { mode: 0o600 })
  renameSync(`${file}.part`, file)
  for (const name of supersededBackups(readdirSync(/* turbopackIgnore: true */ folder)))
    rmSync(join(folder, name), { force: true })
}

/** Every day while the program runs, without stopping work. */
export function keepDailyBackups(): void {
  const keep = (): void => {
    keepDailyBackup(new Date()).catch((error: unknown) =>
      process.stderr.write(`The daily backup could not be made: ${reasonOf(error)}\n`),
    )
  }
  setInterval(keep, hourMilliseconds).unref()
  setTimeout(keep, hourMilliseconds / 60).unref()
}
