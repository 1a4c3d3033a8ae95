import { fail, succeed, type Result } from '@/core/result'
import { runState } from '@/core/run/runState'
import type { RunEventInput } from '@/contracts/runEvent'
import type { Database } from '@/data/database'
import { appendRunEvent, findJob } from '@/data/queries/jobs'

/** A tap may wait in a pocket without network, but not longer than this, ms. */
const longestDelayMilliseconds = 24 * 3_600_000
/** Clocks of two devices never agree to the tick, ms. */
const clockToleranceMilliseconds = 10_000

/** Stores a tap after checking that its step exists and its moment can be true. */
export async function recordRunEvent(
  database: Database,
  jobId: string,
  input: RunEventInput,
  now: Date,
): Promise<Result<null>> {
  const job = await findJob(database, jobId)
  if (!job) return fail({ path: 'id', found: jobId, mend: 'This job is gone.' })
  if (!job.plan.steps.some(({ id }) => id === input.stepId)) {
    return fail({
      path: 'stepId',
      found: input.stepId,
      mend: 'This step is not in the plan; load the page again.',
    })
  }
  const at = new Date(input.at)
  const lateMilliseconds = now.getTime() - at.getTime()
  if (lateMilliseconds > longestDelayMilliseconds || lateMilliseconds < -clockToleranceMilliseconds) {
    return fail({
      path: 'at',
      found: input.at,
      mend: 'The clock of this device is far off; set it and try again.',
    })
  }
  const { kind, stepId, person, requestId } = input
  const written = await appendRunEvent(
    database,
    jobId,
    { kind, stepId, at, person },
    requestId,
    (events) => runState(job.plan, events).settledCount,
  )
  return written ? succeed(null) : fail({ path: 'id', found: jobId, mend: 'This job is already in the log.' })
}
