import * as v from 'valibot'
import { runEventKinds } from '@/core/run/runEvent'
import { answerInput } from '@/contracts/runEvent'
import type { Tap, WaitingTap } from './waiting'

// Versions before the outbox kept taps in the browser's local storage: one entry a tap, and before that one entry a job.

const prefix = 'even-spoke.tap.'
const earliestPrefix = 'even-spoke.taps.'

const isText = (value: unknown): value is string => typeof value === 'string' && value !== ''

/** Whether a value says what a tap says. */
export function isTap(value: unknown): value is Tap {
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

interface EarlierTap {
  /** Entry it was read from. */
  readonly key: string
  readonly item: WaitingTap
  /** Before everything of this version. */
  readonly order: number
}

const kept = v.looseObject({
  requestId: v.pipe(v.string(), v.uuid()),
  jobId: v.pipe(v.string(), v.uuid()),
  number: v.optional(v.number(), 0),
})

function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null')
  } catch {
    return null
  }
}

function store(): Storage | null {
  try {
    return localStorage
  } catch {
    return null
  }
}

/** The taps in one entry, each with the job it is of. */
function valuesIn(key: string, value: unknown): unknown[] {
  if (key.startsWith(prefix)) return [value]
  if (!Array.isArray(value)) return []
  const jobId = key.slice(earliestPrefix.length)
  return value.map((tap, number) => ({ ...(tap as object), jobId, number }))
}

/** Taps that an earlier version of the page left behind, in the order they were made. Junk is cleared away. */
export function earlierTaps(): EarlierTap[] {
  const device = store()
  if (!device) return []
  const keys = Array.from({ length: device.length }, (_, at) => device.key(at) ?? '').filter(
    (key) => key.startsWith(prefix) || key.startsWith(earliestPrefix),
  )
  const found = keys.flatMap((key) => {
    const taps = valuesIn(key, parsed(device.getItem(key))).flatMap((value) =>
      isTap(value) && v.is(kept, value) ? [{ key, value: value as Tap & v.InferOutput<typeof kept> }] : [],
    )
    if (taps.length === 0) device.removeItem(key)
    return taps
  })
  return found
    .sort((a, b) => a.value.at.localeCompare(b.value.at) || a.value.number - b.value.number)
    .map(({ key, value }, at) => {
      const { requestId, jobId, kind, stepId, at: madeAt, person, answer } = value
      const tap: Tap = { kind, stepId, at: madeAt, person, ...(answer ? { answer } : {}) }
      return {
        key,
        order: at - found.length,
        item: { kind: 'tap', requestId, jobId, madeAt: Date.parse(madeAt), tap },
      }
    })
}

export const forgetEarlierTap = (key: string): void => store()?.removeItem(key)
