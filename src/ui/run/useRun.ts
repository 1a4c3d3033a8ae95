import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { Plan } from '@/core/plan/plan'
import { runState, type RunEvent, type RunState } from '@/core/run/runState'
import { loadPending, storePending, type PendingTap } from './pendingTaps'
import { TapQueue, type QueueSnapshot, type TapAnswer } from './tapQueue'

const retryMilliseconds = 2000

export interface Run extends Pick<QueueSnapshot, 'saving' | 'refusal'> {
  readonly state: RunState
  tap(kind: RunEvent['kind'], stepId: string): void
}

async function sendTap(jobId: string, tap: PendingTap): Promise<TapAnswer> {
  try {
    const answer = await fetch(`/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(tap),
      keepalive: true,
    })
    if (answer.ok) return { kind: 'stored' }
    if (answer.status >= 500) return { kind: 'unreachable' }
    const { problems } = (await answer.json()) as { problems: { mend: string }[] }
    return { kind: 'refused', mend: problems.map(({ mend }) => mend).join(' ') }
  } catch {
    return { kind: 'unreachable' }
  }
}

/** The run as it stands: what the server knows, and the taps still waiting on this device. */
export function useRun(jobId: string, plan: Plan, stored: readonly RunEvent[], serverNow: () => number): Run {
  const [queue] = useState(
    () =>
      new TapQueue(stored, {
        send: (tap) => sendTap(jobId, tap),
        load: () => loadPending(jobId),
        store: (taps) => storePending(jobId, taps),
        later: (work) => {
          const timer = setTimeout(work, retryMilliseconds)
          return () => clearTimeout(timer)
        },
      }),
  )
  useEffect(() => {
    queue.start()
    return () => queue.stop()
  }, [queue])
  const { events, saving, refusal } = useSyncExternalStore(queue.subscribe, queue.read, queue.read)
  const state = useMemo(() => runState(plan, events), [plan, events])
  return {
    state,
    saving,
    refusal,
    tap: (kind, stepId) =>
      queue.add({ requestId: crypto.randomUUID(), kind, stepId, at: new Date(serverNow()).toISOString() }),
  }
}
