import { message, type Message } from '@/core/message/message'
import { markBackupFolder } from './knownFolders'
import { constants } from 'node:fs'
import { access, stat } from 'node:fs/promises'
import { isAbsolute, join } from 'node:path'
import { fail, succeed, type Result } from '@/core/result'
import type { Database, Queryable } from '@/data/database'
import { keepBackupFolder, readBackupFolder } from '@/data/queries/desk'

/** Where the daily backups lie, and who says so. */
export interface BackupFolder {
  readonly path: string
  /** `start`: how the program was started, which nothing here changes. */
  readonly saidBy: 'start' | 'settings' | 'nobody'
}

/**
 * Where the daily backups lie; another disk is better than the one the data is on.
 * @param dataFolder of this machine
 */
export async function backupFolderOf(database: Queryable, dataFolder: string): Promise<BackupFolder> {
  const ofStart = process.env.EVEN_SPOKE_BACKUPS
  if (ofStart) return { path: ofStart, saidBy: 'start' }
  const chosen = await readBackupFolder(database)
  return chosen === ''
    ? { path: join(dataFolder, 'backups'), saidBy: 'nobody' }
    : { path: chosen, saidBy: 'settings' }
}

const refused = (found: string, fix: Message): Result<never> => fail({ path: 'folder', found, fix })

/**
 * Chooses where backups lie from now on; those that are made already stay where they are.
 * @param folder of this machine, from its root on; empty: in the data folder
 */
export async function chooseBackupFolder(database: Database, folder: string): Promise<Result<null>> {
  if (folder !== '') {
    if (!isAbsolute(folder)) return refused(folder, message('problems.backup.fullPath'))
    const found = await stat(folder).catch(() => null)
    if (!found) return refused(folder, message('problems.backup.noFolder'))
    if (!found.isDirectory()) return refused(folder, message('problems.backup.isFile'))
    const mayWrite = await access(folder, constants.W_OK | constants.X_OK).then(
      () => true,
      () => false,
    )
    if (!mayWrite) return refused(folder, message('problems.backup.noPermission'))
    markBackupFolder(folder)
  }
  await keepBackupFolder(database, folder)
  return succeed(null)
}
