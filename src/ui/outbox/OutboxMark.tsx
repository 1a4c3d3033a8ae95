'use client'

import { CloudOff } from 'lucide-react'
import { usePathname } from 'next/navigation'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { addToVisit } from './addToVisit'
import { deviceOutbox } from './deviceOutbox'
import type { OutboxSnapshot } from './outbox'
import type { Kept, Waiting } from './waiting'

const kinds = ['tap', 'look', 'photograph'] as const
const names: Record<Waiting['kind'], readonly [string, string]> = {
  tap: ['tap', 'taps'],
  look: ['look', 'looks'],
  photograph: ['photograph', 'photographs'],
}

/** How many of what wait, in words; empty: none. The bay says itself that taps of the job that is open there wait. */
function waitingWords({ kept }: OutboxSnapshot, openJobId: string | undefined): string {
  const waiting = kept.filter(
    ({ item, refusal }) => refusal === null && !(item.kind === 'tap' && item.jobId === openJobId),
  )
  return kinds
    .flatMap((kind) => {
      const count = waiting.filter(({ item }) => item.kind === kind).length
      return count === 0 ? [] : [`${count} ${names[kind][count === 1 ? 0 : 1]}`]
    })
    .join(' and ')
}

const nothing: OutboxSnapshot = { kept: [], trouble: null, inThisPageOnly: 0 }

/** Refused taps of jobs that were ended meanwhile, by job. */
function endedJobs(kept: readonly Kept[]): Map<string, Kept[]> {
  const jobs = new Map<string, Kept[]>()
  for (const one of kept)
    if (one.item.kind === 'tap' && one.refusal?.isJobEnded)
      jobs.set(one.item.jobId, [...(jobs.get(one.item.jobId) ?? []), one])
  return jobs
}

/** Sends what waits on this device from whichever page is open, and says what still waits or was refused. */
export function OutboxMark() {
  const snapshot = useSyncExternalStore(deviceOutbox.subscribe, deviceOutbox.read, () => nothing)
  const { inThisPageOnly, trouble } = snapshot
  useEffect(() => {
    const work = () => deviceOutbox.work()
    work()
    window.addEventListener('online', work)
    return () => {
      window.removeEventListener('online', work)
      deviceOutbox.stop()
    }
  }, [])
  useEffect(() => {
    if (inThisPageOnly === 0) return
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [inThisPageOnly])
  const openJobId = /^\/jobs\/([^/]+)\/run/.exec(usePathname())?.[1]
  const words = trouble === null ? '' : waitingWords(snapshot, openJobId)
  const refused = snapshot.kept.filter(({ refusal }) => refusal !== null && !refusal.isJobEnded)
  return (
    <>
      {inThisPageOnly > 0 && (
        <p className="device-taps" role="alert">
          <CloudOff aria-hidden size={16} /> This device has no room left. Keep this page open until
          everything is sent ({inThisPageOnly} {inThisPageOnly === 1 ? 'entry' : 'entries'}).
        </p>
      )}
      {words !== '' && (
        <p className="device-taps" role="status">
          <CloudOff aria-hidden size={16} /> Saved on this device: {words}.{' '}
          {trouble || 'Sent when you are back online.'}
        </p>
      )}
      {[...endedJobs(snapshot.kept)].map(([jobId, taps]) => (
        <EndedJob key={jobId} jobId={jobId} taps={taps} />
      ))}
      {refused.map(({ item, refusal }) => (
        <div key={item.requestId} className="device-taps" role="alert">
          <span>
            A {names[item.kind][0]} of {new Date(item.madeAt).toLocaleString()} was not taken. {refusal?.mend}
          </span>
          <button type="button" className="btn btn-quiet" onClick={() => deviceOutbox.again(item.requestId)}>
            Send it again
          </button>
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() => void deviceOutbox.discard(item.requestId)}
          >
            Throw it away
          </button>
        </div>
      ))}
    </>
  )
}

/** Taps that were made after their job was ended on another device. */
function EndedJob({ jobId, taps }: { readonly jobId: string; readonly taps: readonly Kept[] }) {
  const [problem, setProblem] = useState('')
  const discard = (): void => {
    for (const { item } of taps) void deviceOutbox.discard(item.requestId)
  }
  const add = async (): Promise<void> => {
    const refusal = await addToVisit(jobId, taps)
    setProblem(refusal ?? '')
    if (refusal === null) discard()
  }
  return (
    <div className="device-taps" role="alert">
      <span>
        This job was ended on another device. {taps.length} {taps.length === 1 ? 'tap' : 'taps'} of this one
        came after that. {problem}
      </span>
      <button type="button" className="btn btn-quiet" onClick={() => void add()}>
        Add to the visit
      </button>
      <button type="button" className="btn btn-quiet" onClick={discard}>
        Discard
      </button>
    </div>
  )
}
