import { message } from '@/core/message/message'
import { printError } from '@/i18n/terminal'
import { currentTime } from '@/clock'
import { reasonOf } from '@/core/reasonOf'
import { database, dataFolder } from '@/data/connection'
import type { Database } from '@/data/database'
import { failureOfFileError } from '@/data/dataFailure'
import { QuietMoment } from '@/data/quietMoment'
import { feedOf } from '../live/feedOf'
import { backupFolderOf } from './backupFolder'
import { hasBackupOf, makeBackupIn } from './backupsInFolder'
import { requireBackupFolder } from './knownFolders'

const lookMilliseconds = 60_000
/** The day's backup waits for a quiet moment, but no longer, ms. */
const longestPutOffMilliseconds = 2 * 3_600_000

/** Next bundles modules more than once; what is wrong with the backups is one thing in a process. */
const shared = globalThis as typeof globalThis & { evenSpokeBackupTrouble?: string | null }

/** Why the last daily backup was not made; null: it was, or is not due. */
export const backupTrouble = (): string | null => shared.evenSpokeBackupTrouble ?? null

/** The daily backup, made while the program runs and without stopping work. */
export class DailyBackup {
  private readonly quiet = new QuietMoment(longestPutOffMilliseconds)

  /** Makes the backup if it is due and nobody is writing. Remembers what went wrong until it works again. */
  async look(shop: Database, folder: string): Promise<void> {
    const now = currentTime()
    const { path, saidBy } = await backupFolderOf(shop, folder)
    try {
      requireBackupFolder(path, folder, saidBy === 'nobody')
      if (!hasBackupOf(path, now)) {
        const { place } = await feedOf(shop)
        if (!this.quiet.isNow(place, performance.now())) return
        await makeBackupIn(path, shop, now)
      }
      shared.evenSpokeBackupTrouble = null
    } catch (error) {
      const text = failureOfFileError(error, path)?.message ?? reasonOf(error)
      if (shared.evenSpokeBackupTrouble !== text) printError(message('data.backupFailed', { reason: text }))
      shared.evenSpokeBackupTrouble = text
    }
  }
}

/** Looks every minute whether the day's backup is due. */
export function keepDailyBackups(): void {
  const daily = new DailyBackup()
  const look = async (): Promise<void> => daily.look(await database(), dataFolder())
  let work = Promise.resolve()
  setInterval(() => {
    work = work.then(look).catch((error: unknown) => {
      printError(message('data.backupFailed', { reason: reasonOf(error) }))
    })
  }, lookMilliseconds).unref()
}
