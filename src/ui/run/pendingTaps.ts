import type { RunEvent } from '@/core/run/runState'

/** A tap on its way to the server; the request id makes sending it twice harmless. */
export interface PendingTap {
  readonly requestId: string
  readonly kind: RunEvent['kind']
  readonly stepId: string
  readonly at: string
  readonly person?: number
}

const keyOf = (jobId: string) => `even-spoke.taps.${jobId}`

/** Taps that were not acknowledged before the page went away. */
export function loadPending(jobId: string): PendingTap[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(keyOf(jobId)) ?? '[]')
    return Array.isArray(stored) ? (stored as PendingTap[]) : []
  } catch {
    return []
  }
}

export function storePending(jobId: string, taps: readonly PendingTap[]): void {
  try {
    if (taps.length === 0) localStorage.removeItem(keyOf(jobId))
    else localStorage.setItem(keyOf(jobId), JSON.stringify(taps))
  } catch {
    // A browser that keeps nothing still sends the tap; only a reload without network would lose it.
  }
}

export const eventOfTap = ({ kind, stepId, at, person }: Omit<PendingTap, 'requestId'>): RunEvent => ({
  kind,
  stepId,
  at: new Date(at),
  person,
})
