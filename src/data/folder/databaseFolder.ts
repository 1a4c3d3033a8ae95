import { existsSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { renameDurably, syncTree } from './durableFiles'

export const databaseFolderOf = (folder: string): string => join(folder, 'database')

/** `broken`: there is data, but not a whole database; nothing may be built over it. */
export type FolderState = 'whole' | 'none' | 'broken'

export function stateOf(databaseFolder: string): FolderState {
  const found = statSync(databaseFolder, { throwIfNoEntry: false })
  if (!found) return 'none'
  if (!found.isDirectory()) return 'broken'
  if (readdirSync(databaseFolder).length === 0) return 'none'
  try {
    return /^\d+\s*$/.test(readFileSync(join(databaseFolder, 'PG_VERSION'), 'utf8')) ? 'whole' : 'broken'
  } catch {
    return 'broken'
  }
}

/**
 * Makes a database folder beside its place, puts it on the disk and only then names it: a start that is killed half-way
 * leaves nothing that looks like a database.
 * @param fill writes everything into the folder it is given
 */
export async function buildBeside(
  databaseFolder: string,
  fill: (beside: string) => Promise<void>,
): Promise<void> {
  const beside = `${databaseFolder}.new`
  rmSync(beside, { recursive: true, force: true })
  await fill(beside)
  await syncTree(beside)
  // Only an empty folder can stand there.
  if (existsSync(databaseFolder)) rmSync(databaseFolder, { recursive: true })
  renameDurably(beside, databaseFolder)
}

/** Puts a damaged database out of the way, never away. */
export function setAside(databaseFolder: string, now: Date): string {
  const aside = `${databaseFolder}-damaged-${now.toISOString().replaceAll(/[:.]/g, '-')}`
  renameDurably(databaseFolder, aside)
  return aside
}
