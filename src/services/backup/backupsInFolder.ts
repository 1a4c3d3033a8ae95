import { closeSync, existsSync, openSync, readdirSync, readSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import type { Database } from '@/data/database'
import { renameDurably } from '@/data/folder/durableFiles'
import { backUp } from './backUp'
import { latestFirst, nextBackupName, readBackupName, supersededBackups } from './retention'

/** A backup in the folder. */
export interface KeptBackup {
  readonly name: string
  readonly bytes: number
}

const inFolder = (folder: string, name = ''): string => join(/* turbopackIgnore: true */ folder, name)

const namesIn = (folder: string): string[] => (existsSync(folder) ? readdirSync(inFolder(folder)) : [])

/** The backups of a folder, the latest first. None if the folder cannot be read. */
export function listBackups(folder: string): KeptBackup[] {
  try {
    return latestFirst(namesIn(folder)).map(({ name }) => ({
      name,
      bytes: statSync(inFolder(folder, name)).size,
    }))
  } catch {
    return []
  }
}

const dayOf = (at: Date): string => at.toISOString().slice(0, 10)

/** A zip ends with its list of files; a file that was cut short or left empty has none. */
function looksWhole(path: string): boolean {
  const endOfZip = Buffer.from('PK\u0005\u0006', 'latin1')
  try {
    const { size } = statSync(path)
    const tail = Buffer.alloc(Math.min(size, 1024))
    const file = openSync(path, 'r')
    try {
      readSync(file, tail, 0, tail.length, size - tail.length)
    } finally {
      closeSync(file)
    }
    return tail.includes(endOfZip)
  } catch {
    return false
  }
}

/** Whether the day's backup is there. */
export const hasBackupOf = (folder: string, now: Date): boolean =>
  namesIn(folder).some(
    (name) => readBackupName(name)?.day === dayOf(now) && looksWhole(inFolder(folder, name)),
  )

/** Makes a backup in a folder, and deletes those that later ones stand for. Gives its name once it is on the disk. */
export async function makeBackupIn(folder: string, shop: Database, now: Date): Promise<string> {
  // One that a power cut or a full disk left unfinished.
  for (const name of namesIn(folder))
    if (/^even-spoke-.*\.zip\.part$/.test(name)) rmSync(inFolder(folder, name), { force: true })
  const name = nextBackupName(namesIn(folder), now)
  const part = inFolder(folder, `${name}.part`)
  await backUp(shop, now, part)
  renameDurably(part, inFolder(folder, name))
  for (const old of supersededBackups(namesIn(folder).filter((one) => looksWhole(inFolder(folder, one)))))
    rmSync(inFolder(folder, old), { force: true })
  return name
}
