import { message, type Message, type Said } from '@/core/message/message'
import { currentTime } from '@/clock'
import { randomUUID } from 'node:crypto'
import { mkdirSync, statSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { DataFailure, failureOfFileError } from '../dataFailure'
import { settleEarlierLock } from './earlierLock'
import {
  beat,
  beatAgeMilliseconds,
  claimPath,
  ensureClaimsFolder,
  lastBeat,
  otherClaims,
  placeOf,
  removeClaim,
  writeClaim,
  type Claim,
  type OtherClaim,
} from './claim'
import { identityOf } from './processIdentity'

export interface FolderLock {
  /** Whether this process still owns the folder; asked before every write. */
  stillOwned(): boolean
  /** From now on the folder counts as lost, too, when this path inside it is not the same folder any more. */
  needs(path: string): void
  release(): Promise<void>
}

export interface LockOptions {
  /** Called once when the folder was taken away or is gone; the process must stop writing at once. */
  readonly onLost?: () => void
  /** Takes the folder from an owner on another machine at once. Never from a living process of this one. */
  readonly takeOver?: boolean
  /** Where warnings go. */
  readonly say?: (said: Said) => void
  /** How long an owner on another machine may give no sign of life, ms. */
  readonly quietMilliseconds?: number
  /** How long an owner that looks like this machine before a new start is watched, if it gave signs of life just now, ms. */
  readonly twinMilliseconds?: number
}

/** How often the owner looks whether it still owns, also when nothing is written, ms. */
const lookMilliseconds = 2000
/** Every so many looks a sign of life is written for other machines. */
const looksPerBeat = 5
/** Eighteen missed signs. */
const defaultQuietMilliseconds = 180_000
const rounds = 20

const named = ({ pid, host, since, address }: Claim): Message =>
  message('data.lock.process', { pid: String(pid), host, since, address: address || 'none' })

const inUse = (folder: string, who: Message): DataFailure =>
  new DataFailure('locked', message('data.lock.inUse', { folder, who }))

/** Resolves true when an owner on another machine stayed silent for the whole time. */
async function staysSilent(folder: string, name: string, quietMilliseconds: number): Promise<boolean> {
  const before = lastBeat(folder, name)
  const step = Math.min(1000, quietMilliseconds)
  for (let waited = 0; waited < quietMilliseconds; waited += step) {
    await wait(step)
    if (lastBeat(folder, name) !== before) return false
  }
  return true
}

/** True when the owner on another machine may be passed over; each step is said, since it can take minutes. */
async function mayTakeFromElsewhere(
  folder: string,
  { name, claim }: OtherClaim,
  { takeOver, say = () => undefined, quietMilliseconds = defaultQuietMilliseconds }: LockOptions,
): Promise<boolean> {
  if (takeOver) {
    say(message('data.lock.takingOver', { folder, who: named(claim) }))
    return true
  }
  say(
    message('data.lock.waiting', { folder, who: named(claim), time: { seconds: quietMilliseconds / 1000 } }),
  )
  if (!(await staysSilent(folder, name, quietMilliseconds))) return false
  say(message('data.lock.silent', { who: named(claim), folder }))
  return true
}

/** A sign of life this young may be of somebody who still runs, ms. */
const freshMilliseconds = 60_000
/** Two signs of life and a half. */
const defaultTwinMilliseconds = 25_000

/**
 * Whether a claim that looks like one of this machine before it was started anew is of another machine: two may have one name and
 * one id, if one was copied from the other. Then its signs of life go on.
 */
async function isTwin(
  folder: string,
  { name, isOfOtherStart }: OtherClaim,
  { twinMilliseconds = defaultTwinMilliseconds }: LockOptions,
): Promise<boolean> {
  if (!isOfOtherStart) return false
  const age = beatAgeMilliseconds(folder, name)
  if (age === null || Math.abs(age) > freshMilliseconds) return false
  return !(await staysSilent(folder, name, twinMilliseconds))
}

/** Looks at all other claims: removes those of the dead, gives the first one that stands in the way. */
async function inTheWay(folder: string, own: string, options: LockOptions): Promise<OtherClaim | null> {
  for (const other of otherClaims(folder, own)) {
    const passes =
      (other.liveness === 'dead' && !(await isTwin(folder, other, options))) ||
      (other.liveness === 'elsewhere' && (await mayTakeFromElsewhere(folder, other, options)))
    if (!passes) return other
    removeClaim(folder, other.name)
  }
  return null
}

async function claimFolder(folder: string, name: string, options: LockOptions): Promise<Claim> {
  for (let round = 1; ; round += 1) {
    ensureClaimsFolder(folder)
    const claim: Claim = {
      ...identityOf(process.pid),
      place: placeOf(folder),
      since: currentTime().toISOString(),
      ...(process.env.EVEN_SPOKE_ADDRESS ? { address: process.env.EVEN_SPOKE_ADDRESS } : {}),
      settled: false,
    }
    writeClaim(folder, name, claim)
    const other = await inTheWay(folder, name, options)
    if (!other) {
      writeClaim(folder, name, { ...claim, settled: true })
      return claim
    }
    removeClaim(folder, name)
    if (other.claim.settled || round === rounds) throw inUse(folder, named(other.claim))
    // Two started at the same moment and saw each other: both step back and one comes first.
    await wait(20 + Math.random() * 200)
  }
}

/**
 * Makes this process the only owner of a data folder. The engine loses rows silently when two processes write one folder.
 * A lock is never taken by its age: a living process of this machine keeps it however long it stands still, the one of
 * a process that has ended is taken at once.
 *
 * @throws DataFailure `locked` or `unwritable`
 */
export async function lockFolder(folder: string, options: LockOptions = {}): Promise<FolderLock> {
  const name = randomUUID()
  try {
    mkdirSync(folder, { recursive: true })
    if (!statSync(folder).isDirectory()) throw Object.assign(new Error('not a folder'), { code: 'ENOTDIR' })
    const earlier = await settleEarlierLock(folder)
    if (earlier) throw inUse(folder, earlier)
    await claimFolder(folder, name, options)
  } catch (error) {
    throw failureOfFileError(error, folder) ?? error
  }
  return keep(folder, name, options.onLost ?? (() => undefined))
}

const sameFolder = (path: string): string | null => {
  const found = statSync(path, { throwIfNoEntry: false, bigint: true })
  return found ? `${found.dev}:${found.ino}` : null
}

function keep(folder: string, name: string, onLost: () => void): FolderLock {
  const path = claimPath(folder, name)
  const needed = new Map<string, string | null>()
  let lost = false
  const stillOwned = (): boolean => {
    if (lost) return false
    const there = statSync(path, { throwIfNoEntry: false }) !== undefined
    if (there && [...needed].every(([one, identity]) => sameFolder(one) === identity)) return true
    lost = true
    onLost()
    return false
  }
  let looks = 0
  const look = (): void => {
    if (!stillOwned() || looks++ % looksPerBeat > 0) return
    try {
      beat(folder, name, looks)
    } catch {
      // A full disk must not end the program here; the next write says it.
    }
  }
  look()
  const timer = setInterval(look, lookMilliseconds)
  timer.unref()
  return {
    stillOwned,
    needs: (one) => needed.set(one, sameFolder(one)),
    release: () => {
      clearInterval(timer)
      // Known as lost from here on: whoever still holds this lock may not write.
      lost = true
      removeClaim(folder, name)
      return Promise.resolve()
    },
  }
}
