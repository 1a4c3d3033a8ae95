import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { Job } from '@/core/job/job'
import type { Plan } from '@/core/plan/plan'
import type { Answer, Foam } from '@/core/run/answer'
import type { RunEvent } from '@/core/run/runEvent'
import { replay, type RunState } from '@/core/run/runState'
import { unseen } from '@/core/run/standingEvents'
import { planAsSeen } from '@/core/seen/planAsSeen'
import { foamAnswer } from '@/core/seen/roundPlace'
import { useLive } from '../live/useLive'
import { newId } from '../newId'
import { deviceStore, eventOfTap, forgetTap, keepTap, keptTaps, type PendingTap } from './pendingTaps'
import { keepStored, lastStored } from './lastStored'
import { sendTap } from './sendTap'
import { TapQueue, type QueueSnapshot } from './tapQueue'

/** Taps of one tab in one moment keep their order by it. */
let numbered = 0
const retryMilliseconds = 2000

export interface Run extends Pick<QueueSnapshot, 'saving' | 'refusal'> {
  readonly state: RunState
  /** One tap, which may settle several steps. */
  tap(...happened: readonly Happened[]): void
  /** The foam of the last of some steps that one tap settles, with the place of the round it may bring. */
  foamAt(before: readonly Happened[], stepId: string, foam: Foam): Answer
}

/** The taps a page was drawn with. */
export interface StoredTaps {
  readonly events: readonly RunEvent[]
  /** Up to which change they are all; null: not known. */
  readonly place: string | null
}

/** What a tap says of one step. */
export interface Happened {
  readonly kind: RunEvent['kind']
  readonly stepId: string
  readonly answer?: Answer
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
 * @param job what was planned; null where it cannot be read any more, and nothing seen changes the plan
 * @param person who taps here; undefined where one works alone
 */
export function useRun(
  jobId: string,
  job: Job | null,
  plan: Plan,
  stored: StoredTaps,
  serverNow: () => number,
  person: number | undefined,
): Run {
  const [queue] = useState(
    () =>
      new TapQueue(stored.events, {
        send: (tap) => sendTap(jobId, tap),
        load: () => keptTaps(deviceStore()).filter((tap) => tap.jobId === jobId),
        keep: (tap) => keepTap(deviceStore(), { ...tap, jobId, number: (numbered += 1) }),
        forget: (requestId) => forgetTap(deviceStore(), requestId),
        fetchStored: () => fetchStored(jobId),
        loadStored: () => lastStored(deviceStore(), jobId),
        keepStored: (events) => keepStored(deviceStore(), jobId, events),
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
  useLive(jobId, stored.place, ({ topic }) => {
    if (topic === 'job' || topic === 'all') void queue.catchUp()
  })
  const { events, saving, refusal } = useSyncExternalStore(queue.subscribe, queue.read, queue.read)
  const seen = useMemo(() => (job ? planAsSeen(job, plan) : unseen(plan)), [job, plan])
  const state = useMemo(() => replay(seen, events, person), [seen, events, person])
  return {
    state,
    saving,
    refusal,
    foamAt: (before, stepId, foam) => {
      const at = new Date(serverNow())
      const tapped = before.map((one): RunEvent => ({ ...one, at, person }))
      return job
        ? foamAnswer(job, seen, events, tapped, { stepId, at, person }, foam)
        : { question: 'foam', foam }
    },
    tap: (...happened) => {
      const at = new Date(serverNow()).toISOString()
      queue.add(...happened.map((one) => ({ requestId: newId(), ...one, at, person })))
    },
  }
}
