'use client'

import type { Translator } from '@/i18n/translator'
import { useFormatter, useTranslations } from 'next-intl'
import { CloudOff } from 'lucide-react'
import { usePathname } from 'next/navigation'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { addToVisit } from './addToVisit'
import { deviceOutbox } from './deviceOutbox'
import type { OutboxSnapshot } from './outbox'
import type { Kept } from './waiting'

const kinds = ['tap', 'look', 'photograph'] as const
/** How many of what wait; empty: none. The bay says itself that taps of the job that is open there wait. */
function waitingParts({ kept }: OutboxSnapshot, openJobId: string | undefined, t: Translator): string[] {
  const waiting = kept.filter(
    ({ item, refusal }) => refusal === null && !(item.kind === 'tap' && item.jobId === openJobId),
  )
  return kinds.flatMap((kind) => {
    const count = waiting.filter(({ item }) => item.kind === kind).length
    return count === 0 ? [] : [t(`outbox.waiting.${kind}`, { count })]
  })
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
  const t = useTranslations()
  const format = useFormatter()

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
  const waiting = trouble === null ? [] : waitingParts(snapshot, openJobId, t)
  const refused = snapshot.kept.filter(({ refusal }) => refusal !== null && !refusal.isJobEnded)
  return (
    <>
      {inThisPageOnly > 0 && (
        <p className="device-taps" role="alert">
          <CloudOff aria-hidden size={16} /> {t.rich('outbox.full', { count: inThisPageOnly })}
        </p>
      )}
      {waiting.length > 0 && (
        <p className="device-taps" role="status">
          <CloudOff aria-hidden size={16} /> {t('outbox.saved', { things: format.list(waiting) })}{' '}
          {t(trouble === 'revoked' ? 'outbox.revoked' : 'outbox.sentOnline')}
        </p>
      )}
      {[...endedJobs(snapshot.kept)].map(([jobId, taps]) => (
        <EndedJob key={jobId} jobId={jobId} taps={taps} />
      ))}
      {refused.map(({ item, refusal }) => (
        <div key={item.requestId} className="device-taps" role="alert">
          <span>
            {t('outbox.refused', {
              kind: item.kind,
              time: new Date(item.madeAt).toLocaleString(),
              fix: refusal?.fix || t('errors.sending.notUnderstood'),
            })}
          </span>
          <button type="button" className="btn btn-quiet" onClick={() => deviceOutbox.again(item.requestId)}>
            {t('outbox.sendAgain')}
          </button>
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() => void deviceOutbox.discard(item.requestId)}
          >
            {t('outbox.delete')}
          </button>
        </div>
      ))}
    </>
  )
}

/** Taps that were made after their job was ended on another device. */
function EndedJob({ jobId, taps }: { readonly jobId: string; readonly taps: readonly Kept[] }) {
  const t = useTranslations()

  const [problem, setProblem] = useState('')
  const discard = (): void => {
    for (const { item } of taps) void deviceOutbox.discard(item.requestId)
  }
  const add = async (): Promise<void> => {
    const refusal = await addToVisit(jobId, taps, t)
    setProblem(refusal ?? '')
    if (refusal === null) discard()
  }
  return (
    <div className="device-taps" role="alert">
      <span>{t('outbox.endedElsewhere', { count: taps.length, problem })}</span>
      <button type="button" className="btn btn-quiet" onClick={() => void add()}>
        {t('outbox.addToVisit')}
      </button>
      <button type="button" className="btn btn-quiet" onClick={discard}>
        {t('outbox.discard')}
      </button>
    </div>
  )
}
