import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { Plan } from '@/core/plan/plan'
import type { RunEvent } from '@/core/run/runEvent'
import { runState, type RunState } from '@/core/run/runState'
import { newId } from '../newId'
import { deviceStore, eventOfTap, forgetTap, keepTap, keptTaps, type PendingTap } from './pendingTaps'
import { sendTap } from './sendTap'
import { TapQueue, type QueueSnapshot } from './tapQueue'

/** Taps of one tab in one moment keep their order by it. */
let numbered = 0
const retryMilliseconds = 2000
/** Two at work on two phones see each other's taps this often, ms. */
const catchUpMilliseconds = 4000

export interface Run extends Pick<QueueSnapshot, 'saving' | 'refusal'> {
  readonly state: RunState
  /** One tap, which may settle several steps. */
  tap(...happened: readonly { readonly kind: RunEvent['kind']; readonly stepId: string }[]): void
}

async function fetchStored(jobId: string): Promise<RunEvent[] | null> {
  try {
    const answer = await fetch(`/api/jobs/${jobId}/events`, { cache: 'no-store' })
    if (!answer.ok) return null
    const { events } = (await answer.json()) as { events: Omit<PendingTap, 'requestId'>[] }
    return events.map(eventOfTap)
  } catch {
    return null
  }
}

/**
 * The run as it stands: what the server knows, and the taps still waiting on this device.
 * @param person who taps here; undefined where one works alone
 */
export function useRun(
  jobId: string,
  plan: Plan,
  stored: readonly RunEvent[],
  serverNow: () => number,
  person: number | undefined,
): Run {
  const [queue] = useState(
    () =>
      new TapQueue(stored, {
        send: (tap) => sendTap(jobId, tap),
        load: () => keptTaps(deviceStore()).filter((tap) => tap.jobId === jobId),
        keep: (tap) => keepTap(deviceStore(), { ...tap, jobId, number: (numbered += 1) }),
        forget: (requestId) => forgetTap(deviceStore(), requestId),
        fetchStored: () => fetchStored(jobId),
        later: (work) => {
          const timer = setTimeout(work, retryMilliseconds)
          return () => clearTimeout(timer)
        },
      }),
  )
  useEffect(() => {
    queue.takeUp()
    // Another tab of this device kept a tap, or cleared one that was stored.
    const look = (): void => {
      queue.takeUp()
      void queue.catchUp()
    }
    window.addEventListener('storage', look)
    return () => {
      window.removeEventListener('storage', look)
      queue.stop()
    }
  }, [queue])
  const isShared = person !== undefined
  useEffect(() => {
    const look = () => {
      if (document.visibilityState === 'visible') void queue.catchUp()
    }
    document.addEventListener('visibilitychange', look)
    const timer = isShared ? setInterval(look, catchUpMilliseconds) : undefined
    return () => {
      document.removeEventListener('visibilitychange', look)
      clearInterval(timer)
    }
  }, [queue, isShared])
  const { events, saving, refusal } = useSyncExternalStore(queue.subscribe, queue.read, queue.read)
  const state = useMemo(() => runState(plan, events, person), [plan, events, person])
  return {
    state,
    saving,
    refusal,
    tap: (...happened) => {
      const at = new Date(serverNow()).toISOString()
      queue.add(...happened.map((one) => ({ requestId: newId(), ...one, at, person })))
    },
  }
}
