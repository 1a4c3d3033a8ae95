import { shopSay } from '@/i18n/shopSay'
import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { RunEvent } from '@/core/run/runEvent'
import type { VisitCorrection } from '@/contracts/runEvent'
import type { Database } from '@/data/database'
import { findJob } from '@/data/queries/jobs'
import { addToVisitNote } from '@/data/queries/visits'

const keys = {
  done: 'log.afterEnd.done',
  skipped: 'log.afterEnd.skipped',
  answered: 'log.afterEnd.done',
  misted: 'log.afterEnd.misted',
  undone: 'log.afterEnd.undone',
  mistUndone: 'log.afterEnd.undone',
  tapUndone: 'log.afterEnd.undone',
} as const satisfies Record<RunEvent['kind'], string>

/**
 * Adds taps that were made after a job was ended on another device to the note of its visit. Amounts and dates stay as they were
 * written down: a person corrects those where it matters.
 */
export async function correctVisit(
  database: Database,
  jobId: string,
  { taps }: VisitCorrection,
): Promise<Result<null>> {
  const gone = fail({
    path: 'id',
    found: jobId,
    fix: message('problems.visit.deleted'),
  })
  const job = await findJob(database, jobId)
  if (!job) return gone
  const titles = new Map(job.plan.steps.map(({ id, title }) => [id, title] as const))
  const say = shopSay()
  const lines = taps.map(({ kind, stepId, at }) =>
    say(message(keys[kind], { time: at.slice(0, 16).replace('T', ' '), step: titles.get(stepId) ?? stepId })),
  )
  const written = await database.transaction((transaction) => addToVisitNote(transaction, jobId, lines))
  if (written === 'saved') return succeed(null)
  return written === 'gone'
    ? gone
    : fail({
        path: 'note',
        found: message('problems.visit.noteFull'),
        fix: message('problems.visit.shortenNote'),
      })
}
