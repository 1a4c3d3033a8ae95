import { message, type Message } from '@/core/message/message'
import { readFileSync, rmSync, statSync } from 'node:fs'
import { hostname } from 'node:os'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import * as v from 'valibot'
import { writeDurably } from './durableFiles'
import { identityOf, livenessOf } from './processIdentity'

const ownerSchema = v.object({
  pid: v.number(),
  host: v.string(),
  startedAt: v.string(),
  address: v.optional(v.string()),
})

/** An owner of that time touched its lock every second. */
const touchMilliseconds = 2500

/**
 * Up to data version 5 a folder named `lock` was the lock. A living owner of that kind is respected; what is left of a
 * dead one is cleared. A *file* of that name is left in its place: a program of that time can neither take it for its
 * own lock nor remove it, and so refuses a folder that this one uses.
 *
 * @returns who has the folder, or null
 */
export async function settleEarlierLock(folder: string): Promise<Message | null> {
  const path = join(folder, 'lock')
  const found = statSync(path, { throwIfNoEntry: false })
  if (found?.isDirectory()) {
    const owner = readOwner(folder)
    if (owner?.host === hostname()) {
      if (livenessOf({ ...identityOf(owner.pid), began: null }) === 'alive' && runsNode(owner.pid))
        return message('data.lock.process', {
          pid: String(owner.pid),
          host: owner.host,
          since: owner.startedAt,
          address: owner.address || 'none',
        })
    } else {
      await wait(touchMilliseconds)
      if (statSync(path, { throwIfNoEntry: false })?.mtimeMs !== found.mtimeMs)
        return owner
          ? message('data.lock.processOn', { pid: String(owner.pid), host: owner.host })
          : message('data.lock.another')
    }
    rmSync(path, { recursive: true, force: true })
  }
  rmSync(join(folder, 'owner.json'), { recursive: true, force: true })
  if (!found?.isFile())
    writeDurably(
      path,
      'Who uses this folder stands in owners. This file keeps earlier versions of the program out.\n',
    )
  return null
}

function readOwner(folder: string): v.InferOutput<typeof ownerSchema> | null {
  try {
    const read = v.safeParse(ownerSchema, JSON.parse(readFileSync(join(folder, 'owner.json'), 'utf8')))
    return read.success ? read.output : null
  } catch {
    return null
  }
}

/** Where the system tells what a process runs, a number that went to another program is told apart. */
function runsNode(pid: number): boolean {
  try {
    return /node|next/.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'))
  } catch {
    return true
  }
}
