import * as v from 'valibot'
import type { Answer } from '@/core/run/answer'
import { runEventKinds, type RunEvent } from '@/core/run/runEvent'
import { answerInput } from '@/contracts/runEvent'

/** A tap on its way to the server; the request id makes sending it twice harmless. */
export interface PendingTap {
  readonly requestId: string
  readonly kind: RunEvent['kind']
  readonly stepId: string
  readonly at: string
  readonly person?: number
  /** What was seen; with `answered` only. */
  readonly answer?: Answer
}

/** A tap as the device keeps it, whichever tab it was made in. */
export interface KeptTap extends PendingTap {
  readonly jobId: string
  /** Order among the taps of one tab in one moment. */
  readonly number: number
}

/** Every tap has an entry of its own, so that two tabs never write over each other's. */
const prefix = 'even-spoke.tap.'
/** Before, all taps of a job stood in one entry. */
const earlierPrefix = 'even-spoke.taps.'

const isText = (value: unknown): value is string => typeof value === 'string' && value !== ''

/** What a tap says, without what it is sent with. */
export function isEvent(value: unknown): value is Omit<PendingTap, 'requestId'> {
  if (typeof value !== 'object' || value === null) return false
  const { kind, stepId, at, person, answer } = value as Record<string, unknown>
  return (
    isText(stepId) &&
    (runEventKinds as readonly unknown[]).includes(kind) &&
    isText(at) &&
    !Number.isNaN(Date.parse(at)) &&
    (person === undefined || person === 0 || person === 1) &&
    (kind === 'answered' ? v.is(answerInput, answer) : answer === undefined)
  )
}

const isTap = (value: unknown): value is PendingTap =>
  isEvent(value) && isText((value as Partial<PendingTap>).requestId)

const isKeptTap = (value: unknown): value is KeptTap =>
  isTap(value) &&
  isText((value as Partial<KeptTap>).jobId) &&
  typeof (value as Partial<KeptTap>).number === 'number'

function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null')
  } catch {
    return null
  }
}

const keysOf = (store: Storage): string[] =>
  Array.from({ length: store.length }, (_, at) => store.key(at)).filter((key) => key !== null)

/** Gives every tap of an earlier version's entries one of its own. */
function splitEarlier(store: Storage): void {
  for (const key of keysOf(store).filter((one) => one.startsWith(earlierPrefix))) {
    const taps = parsed(store.getItem(key))
    const jobId = key.slice(earlierPrefix.length)
    if (Array.isArray(taps))
      taps.filter(isTap).forEach((tap, number) => keepTap(store, { ...tap, jobId, number }))
    store.removeItem(key)
  }
}

/** The device's store, or null in a browser that has none or refuses it. */
export function deviceStore(): Storage | null {
  try {
    return localStorage
  } catch {
    return null
  }
}

/** All taps that no server has acknowledged yet, in the order they were made. Junk is cleared away. */
export function keptTaps(store: Storage | null): KeptTap[] {
  if (!store) return []
  try {
    splitEarlier(store)
    return keysOf(store)
      .filter((key) => key.startsWith(prefix))
      .flatMap((key) => {
        const tap = parsed(store.getItem(key))
        if (isKeptTap(tap)) return [tap]
        store.removeItem(key)
        return []
      })
      .sort((a, b) => a.at.localeCompare(b.at) || a.number - b.number)
  } catch {
    return []
  }
}

export function keepTap(store: Storage | null, tap: KeptTap): void {
  try {
    store?.setItem(prefix + tap.requestId, JSON.stringify(tap))
  } catch {
    // A browser that keeps nothing still sends the tap; only a reload without network would lose it.
  }
}

export function forgetTap(store: Storage | null, requestId: string): void {
  try {
    store?.removeItem(prefix + requestId)
  } catch {
    // Nothing was kept.
  }
}

export const eventOfTap = ({
  kind,
  stepId,
  at,
  person,
  answer,
}: Omit<PendingTap, 'requestId'>): RunEvent => ({
  kind,
  stepId,
  at: new Date(at),
  person,
  ...(answer ? { answer } : {}),
})
