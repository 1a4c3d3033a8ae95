import * as v from 'valibot'
import { isTap } from '../outbox/earlierTaps'
import type { Tap } from '../outbox/waiting'
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { Job } from '@/core/job/job'
import type { Plan } from '@/core/plan/plan'
import type { Answer, Foam } from '@/core/run/answer'
import type { RunEvent } from '@/core/run/runEvent'
import { replay, type RunState } from '@/core/run/runState'
import { unseen } from '@/core/run/standingEvents'
import { planAsSeen } from '@/core/observations/planAsSeen'
import { foamAnswer } from '@/core/observations/roundPlace'
import { useLive } from '../live/useLive'
import { deviceOutbox } from '../outbox/deviceOutbox'
import { eventOfTap, JobTaps, type JobTapsSnapshot } from './jobTaps'
import { deviceStore, keepStored, lastStored } from './lastStored'

export interface Run extends Pick<JobTapsSnapshot, 'saving'> {
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
    const read = v.safeParse(v.object({ events: v.array(v.custom<Tap>(isTap)) }), await answer.json())
    return read.success ? read.output.events.map(eventOfTap) : null
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
  const [taps] = useState(
    () =>
      new JobTaps(jobId, stored.events, deviceOutbox, {
        fetchStored: () => fetchStored(jobId),
        loadStored: () => lastStored(deviceStore(), jobId),
        keepStored: (events) => keepStored(deviceStore(), jobId, events),
      }),
  )
  useEffect(() => {
    const stop = taps.start()
    // Another page of this device knows more of what is stored.
    const look = (): void => void taps.catchUp()
    window.addEventListener('storage', look)
    return () => {
      window.removeEventListener('storage', look)
      stop()
    }
  }, [taps])
  useLive(jobId, stored.place, ({ topic }) => {
    if (topic === 'job' || topic === 'all') void taps.catchUp()
  })
  const { events, saving } = useSyncExternalStore(taps.subscribe, taps.read, taps.read)
  const seen = useMemo(() => (job ? planAsSeen(job, plan) : unseen(plan)), [job, plan])
  const state = useMemo(() => replay(seen, events, person), [seen, events, person])
  return {
    state,
    saving,
    foamAt: (before, stepId, foam) => {
      const at = new Date(serverNow())
      const tapped = before.map((one): RunEvent => ({ ...one, at, person }))
      return job
        ? foamAnswer(job, seen, events, tapped, { stepId, at, person }, foam)
        : { question: 'foam', foam }
    },
    tap: (...happened) => {
      const at = new Date(serverNow()).toISOString()
      taps.add(...happened.map((one) => ({ ...one, at, person })))
    },
  }
}
