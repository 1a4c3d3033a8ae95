import { currentTime } from '@/clock'
import type { RunEvent } from '@/core/run/runEvent'
import { isTap } from '../outbox/earlierTaps'
import { eventOfTap } from './jobTaps'

const prefix = 'even-spoke.stored.'
/** Jobs of which a device keeps what was stored. */
const maxJobs = 5

interface Kept {
  readonly at: number
  readonly events: readonly unknown[]
}

function read(text: string | null): Kept | null {
  try {
    const value: unknown = JSON.parse(text ?? 'null')
    const { at, events } = (value ?? {}) as Partial<Kept>
    return typeof at === 'number' && Array.isArray(events) ? { at, events } : null
  } catch {
    return null
  }
}

const keysOf = (store: Storage): string[] =>
  Array.from({ length: store.length }, (_, at) => store.key(at) ?? '').filter((key) => key.startsWith(prefix))

/** The device's store, or null in a browser that has none or refuses it. */
export function deviceStore(): Storage | null {
  try {
    return localStorage
  } catch {
    return null
  }
}

/** What this device last knew to be stored of a job; empty where it knew nothing, or what it kept is junk. */
export function lastStored(store: Storage | null, jobId: string): readonly RunEvent[] {
  try {
    const events = read(store?.getItem(prefix + jobId) ?? null)?.events ?? []
    return events.every(isTap) ? events.map(eventOfTap) : []
  } catch {
    return []
  }
}

/** Keeps it, for a page that is opened without any network; the jobs that were worked on last stay. */
export function keepStored(store: Storage | null, jobId: string, events: readonly RunEvent[]): void {
  try {
    if (!store) return
    store.setItem(prefix + jobId, JSON.stringify({ at: currentTime().getTime(), events }))
    const older = keysOf(store)
      .map((key) => ({ key, at: read(store.getItem(key))?.at ?? 0 }))
      .sort((a, b) => b.at - a.at)
      .slice(maxJobs)
    for (const { key } of older) store.removeItem(key)
  } catch {
    // A device that keeps nothing works as long as there is a network.
  }
}
