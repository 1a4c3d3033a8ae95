import { message } from '@/core/message/message'
import { questionOf } from '@/core/cards/cardsOf'
import { exhaustive } from '@/core/exhaustive'
import { fail, succeed, type Result } from '@/core/result'
import type { RunEvent } from '@/core/run/runEvent'
import { replay } from '@/core/run/runState'
import type { RunEventInput } from '@/contracts/runEvent'
import type { Database } from '@/data/database'
import { appendRunEvent } from '@/data/queries/runEvents'
import { forgetRunning, keepRunning, runningJob, type RunningJob } from './runningJobs'

/** A tap may wait in a pocket without network, but not longer than this, ms. */
const longestDelayMilliseconds = 24 * 3_600_000
/** Clocks of two devices never agree to the tick, ms. */
const clockToleranceMilliseconds = 10_000
/** No job has so many: something taps by itself. */
const maxEvents = 5000
/** How often a tap is worked out again because another device was quicker. */
const maxTries = 20

/** Path of the problem that says so: a device offers to add the tap to the visit then. */
export const jobEnded = 'jobEnded'

/** Why a tap cannot be; null: it can. */
function refusalOf({ plan, planAsSeen, events }: RunningJob, input: RunEventInput): Result<null> | null {
  if (events.length >= maxEvents)
    return fail({
      path: 'id',
      found: message('problems.tap.count', { count: events.length }),
      fix: message('problems.tap.tooMany'),
    })
  const steps = [...replay(planAsSeen, events).plan.steps, ...plan.steps]
  const step = steps.find(({ id }) => id === input.stepId)
  if (!step)
    return fail({
      path: 'stepId',
      found: input.stepId,
      fix: message('problems.tap.noStep'),
    })
  if (input.answer && questionOf(step) !== input.answer.question)
    return fail({
      path: 'answer',
      found: input.answer.question,
      fix: message('problems.tap.otherQuestion', { question: questionOf(step) ?? 'nothing' }),
    })
  return null
}

function refusalOfMoment({ at }: RunEventInput, now: Date): Result<null> | null {
  const lateMilliseconds = now.getTime() - new Date(at).getTime()
  if (lateMilliseconds <= longestDelayMilliseconds && lateMilliseconds >= -clockToleranceMilliseconds)
    return null
  return fail({
    path: 'at',
    found: at,
    fix: message('problems.tap.clock'),
  })
}

/** Stores a tap over the job as it is known; null where the job was changed meanwhile. */
async function stored(
  database: Database,
  jobId: string,
  job: RunningJob,
  input: RunEventInput,
): Promise<Result<null> | null> {
  const { kind, stepId, person, answer, requestId } = input
  const event: RunEvent = { kind, stepId, at: new Date(input.at), person, ...(answer ? { answer } : {}) }
  const events = [...job.events, event]
  const { settledCount } = replay(job.planAsSeen, events)
  const appended = await appendRunEvent(database, jobId, {
    event,
    requestId,
    rowVersion: job.rowVersion,
    settledCount,
  })
  switch (appended.kind) {
    case 'stored':
      keepRunning(database, jobId, { ...job, events, rowVersion: appended.rowVersion })
      return succeed(null)
    case 'storedBefore':
      return succeed(null)
    case 'ofAnotherJob':
      return fail({
        path: 'requestId',
        found: requestId,
        fix: message('problems.tap.otherJob'),
      })
    case 'closed':
      return fail({ path: jobEnded, found: jobId, fix: message('problems.job.ended') })
    case 'gone':
      return goneJob(jobId)
    case 'overtaken':
      return null
    default:
      return exhaustive(appended)
  }
}

const goneJob = (jobId: string): Result<null> =>
  fail({ path: 'id', found: jobId, fix: message('problems.job.deleted') })

/** Stores a tap after checking that its step exists, asks what is answered, and its moment can be true. */
export async function recordRunEvent(
  database: Database,
  jobId: string,
  input: RunEventInput,
  now: Date,
): Promise<Result<null>> {
  for (let tries = 0; tries < maxTries; tries += 1) {
    const job = await runningJob(database, jobId)
    if (!job) return goneJob(jobId)
    const done =
      refusalOf(job, input) ?? refusalOfMoment(input, now) ?? (await stored(database, jobId, job, input))
    if (done?.ok) return done
    // What is kept in memory may be old: a refusal holds only over the data itself.
    const wasKept = forgetRunning(database, jobId, job)
    if (done && !wasKept) return done
  }
  return fail({
    path: 'id',
    found: jobId,
    fix: message('problems.tap.busy'),
  })
}
