import { questionOf } from '@/core/cards/cardsOf'
import { exhaustive } from '@/core/exhaustive'
import { fail, succeed, type Result } from '@/core/result'
import type { RunEvent } from '@/core/run/runEvent'
import { replay } from '@/core/run/runState'
import type { RunEventInput } from '@/contracts/runEvent'
import type { Database } from '@/data/database'
import { appendRunEvent, findJob, listRunEvents } from '@/data/queries/jobs'
import { seenAt } from './seenAt'

/** A tap may wait in a pocket without network, but not longer than this, ms. */
const longestDelayMilliseconds = 24 * 3_600_000
/** Clocks of two devices never agree to the tick, ms. */
const clockToleranceMilliseconds = 10_000
/** No job has so many: something taps by itself. */
const mostEvents = 5000

/** Path of the problem that says so: a device offers to add the tap to the visit then. */
export const jobEnded = 'jobEnded'

/** Stores a tap after checking that its step exists, asks what is answered, and its moment can be true. */
export async function recordRunEvent(
  database: Database,
  jobId: string,
  input: RunEventInput,
  now: Date,
): Promise<Result<null>> {
  const job = await findJob(database, jobId)
  if (!job) return fail({ path: 'id', found: jobId, mend: 'This job is gone.' })
  const events = await listRunEvents(database, jobId)
  if (events.length >= mostEvents)
    return fail({
      path: 'id',
      found: `${events.length} taps`,
      mend: 'This job has more taps than any work takes; write it down and plan a new one.',
    })
  const planAsSeen = seenAt(job)
  const { plan } = replay(planAsSeen, events)
  const step = [...plan.steps, ...job.plan.steps].find(({ id }) => id === input.stepId)
  if (!step) {
    return fail({
      path: 'stepId',
      found: input.stepId,
      mend: 'This step is not in the plan, or no more: what brought it was undone. Load the page again.',
    })
  }
  if (input.answer && questionOf(step) !== input.answer.question)
    return fail({
      path: 'answer',
      found: input.answer.question,
      mend: `This step asks ${questionOf(step) ?? 'nothing'}; load the page again.`,
    })
  const at = new Date(input.at)
  const lateMilliseconds = now.getTime() - at.getTime()
  if (lateMilliseconds > longestDelayMilliseconds || lateMilliseconds < -clockToleranceMilliseconds) {
    return fail({
      path: 'at',
      found: input.at,
      mend: 'The clock of this device is far off; set it and try again.',
    })
  }
  const { kind, stepId, person, answer, requestId } = input
  const event: RunEvent = { kind, stepId, at, person, ...(answer ? { answer } : {}) }
  const written = await appendRunEvent(
    database,
    jobId,
    event,
    requestId,
    (all) => replay(planAsSeen, all).settledCount,
  )
  switch (written) {
    case 'stored':
      return succeed(null)
    case 'closed':
      return fail({ path: jobEnded, found: jobId, mend: 'This job was ended and is in the log.' })
    case 'ofAnotherJob':
      return fail({
        path: 'requestId',
        found: requestId,
        mend: 'A tap of another job was sent with this id; give every tap an id of its own.',
      })
    default:
      return exhaustive(written)
  }
}
