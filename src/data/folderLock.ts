import { readFileSync } from 'node:fs'
import { mkdir, rename, stat, writeFile } from 'node:fs/promises'
import { hostname } from 'node:os'
import { join } from 'node:path'
import lockfile from 'proper-lockfile'
import { DataFailure, failureOfFileError } from './dataFailure'

interface Owner {
  readonly pid: number
  readonly host: string
  readonly startedAt: string
  readonly address?: string
}

/** How long a lock may go without a sign of life before another process may take it, ms. */
const staleMilliseconds = 6000
/** The shortest the lock package knows; used once the owner is known to be dead. */
const staleAfterDeathMilliseconds = 2000

const ownerFile = (folder: string) => join(folder, 'owner.json')

function readOwner(folder: string): Owner | null {
  try {
    return JSON.parse(readFileSync(ownerFile(folder), 'utf8')) as Owner
  } catch {
    return null
  }
}

function isDead(owner: Owner): boolean {
  if (owner.host !== hostname()) return false
  if (owner.pid === process.pid) return true
  try {
    process.kill(owner.pid, 0)
    return false
  } catch (error) {
    return (error as { code?: string }).code === 'ESRCH'
  }
}

export interface FolderLock {
  release(): Promise<void>
}

/**
 * Makes this process the only owner of a data folder. The engine loses rows silently when two processes write one folder.
 * A lock left by a killed process is taken over after some two seconds; a living owner is named.
 *
 * @param onLost called when the lock was taken away, e.g. after the machine slept; the process must stop writing at once
 * @throws DataFailure `locked` or `unwritable`
 */
export async function lockFolder(folder: string, onLost: () => void): Promise<FolderLock> {
  try {
    await mkdir(folder, { recursive: true })
    if (!(await stat(folder)).isDirectory())
      throw Object.assign(new Error('not a folder'), { code: 'ENOTDIR' })
  } catch (error) {
    throw failureOfFileError(error, folder) ?? error
  }
  const lockfilePath = join(folder, 'lock')
  const take = (stale: number, retries: number) =>
    lockfile.lock(folder, {
      lockfilePath,
      stale,
      update: 1000,
      retries: { retries, factor: 1, minTimeout: 250, maxTimeout: 250 },
      onCompromised: onLost,
    })
  const locked = (error: unknown) => (error as { code?: string }).code === 'ELOCKED'
  let release: () => Promise<void>
  try {
    release = await take(staleMilliseconds, 0).catch(async (error: unknown) => {
      if (!locked(error)) throw error
      const owner = readOwner(folder)
      if (owner && isDead(owner)) return take(staleAfterDeathMilliseconds, 16)
      // A living process refreshes its lock every second; a lock that ages belongs to nobody.
      const before = (await stat(lockfilePath)).mtimeMs
      await new Promise((resolve) => setTimeout(resolve, 2200))
      const after = await stat(lockfilePath).then(
        ({ mtimeMs }) => mtimeMs,
        () => 0,
      )
      if (after === before || after === 0) return take(staleMilliseconds, 30)
      throw error
    })
  } catch (error) {
    if (!locked(error)) throw failureOfFileError(error, folder) ?? error
    const owner = readOwner(folder)
    const who = owner
      ? `process ${owner.pid} on ${owner.host}, running since ${owner.startedAt}${owner.address ? ` at ${owner.address}` : ''}`
      : 'another process'
    throw new DataFailure(
      'locked',
      `The data folder ${folder} is in use by ${who}. Use that one, or stop it first; two at once would lose data.`,
    )
  }
  const owner: Owner = {
    pid: process.pid,
    host: hostname(),
    startedAt: new Date().toISOString(),
    ...(process.env.EVEN_SPOKE_ADDRESS ? { address: process.env.EVEN_SPOKE_ADDRESS } : {}),
  }
  try {
    const fresh = `${ownerFile(folder)}.new`
    await writeFile(fresh, JSON.stringify(owner))
    await rename(fresh, ownerFile(folder))
  } catch (error) {
    await release().catch(() => undefined)
    throw failureOfFileError(error, folder) ?? error
  }
  return { release }
}
