import { message, type Message } from '@/core/message/message'
import { shopSay } from '@/i18n/shopSay'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import * as v from 'valibot'
import { writeDurably } from '@/data/folder/durableFiles'

// A backup folder on another disk looks like an empty folder while that disk is not connected. A mark in the folder tells
// them apart: a folder that had it once and has it no longer is not the one backups go to.

const mark = '.even-spoke-backups'
const markText = 'Even Spoke backs up to this folder. Keep this file.\n'
const list = v.array(v.string())

const noteOf = (dataFolder: string): string =>
  join(/* turbopackIgnore: true */ dataFolder, 'backup-folders.json')

function knownFolders(dataFolder: string): string[] {
  try {
    const read = v.safeParse(list, JSON.parse(readFileSync(noteOf(dataFolder), 'utf8')))
    return read.success ? read.output : []
  } catch {
    return []
  }
}

/** Why backups cannot go to a folder, for the person at the desk. */
export class BackupFolderMissing extends Error {
  constructor(readonly said: Message) {
    super(shopSay()(said))
  }
}

/** Marks a folder that somebody chose just now: it is the right one from now on, even if it is new and empty. */
export const markBackupFolder = (folder: string): void =>
  writeFileSync(join(/* turbopackIgnore: true */ folder, mark), markText)

/**
 * Makes sure that a folder is the one backups went to before.
 * @param folder where they go
 * @param isOwn whether it is inside the data folder; then it is made
 * @throws BackupFolderMissing if it is not there, or another disk is
 */
export function requireBackupFolder(folder: string, dataFolder: string, isOwn: boolean): void {
  if (isOwn) mkdirSync(folder, { recursive: true, mode: 0o700 })
  const path = join(/* turbopackIgnore: true */ folder, mark)
  const isKnown = knownFolders(dataFolder).includes(folder)
  if (existsSync(path) && isKnown) return
  if (isKnown && !isOwn) throw new BackupFolderMissing(message('data.backupFolderGone', { folder }))
  if (!existsSync(folder)) {
    if (!existsSync(dirname(folder)))
      throw new BackupFolderMissing(message('data.noBackupFolder', { folder }))
    mkdirSync(folder, { mode: 0o700 })
  }
  if (!existsSync(path)) markBackupFolder(folder)
  if (!isKnown)
    writeDurably(noteOf(dataFolder), JSON.stringify([...knownFolders(dataFolder), folder].slice(-20)))
}
