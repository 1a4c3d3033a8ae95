import { message } from '@/core/message/message'
import { mergedWishes } from '@/core/job/mergedWishes'
import { fail, succeed, type Result } from '@/core/result'
import { readJob, type JobFile } from '@/contracts/jobFile'
import type { PlanChange } from '@/contracts/planChange'
import type { PlanFile } from '@/contracts/planFile'
import type { Database } from '@/data/database'
import { findJob, replacePlan } from '@/data/queries/jobs'
import { inPool } from '@/pool/pool'

/** How often a plan is worked out again because another window was quicker. */
const maxTries = 5

export interface Replanned {
  readonly jobFile: JobFile
  readonly plan: PlanFile
}

/** The job file with what was changed; what another window changed meanwhile stays. */
const changedFile = (stored: JobFile, { wishes, knownWishes, conditions, people }: PlanChange) => ({
  ...stored,
  ...(wishes ? { wishes: mergedWishes(knownWishes ?? stored.wishes, wishes, stored.wishes) } : {}),
  ...(conditions ? { conditions } : {}),
  ...(people ? { crew: { people } } : {}),
})

/** Plans a stored job anew with what was changed; a job that was begun stays as it is. */
export async function replanJob(
  database: Database,
  jobId: string,
  change: PlanChange,
): Promise<Result<Replanned>> {
  for (let tries = 0; tries < maxTries; tries += 1) {
    const job = await findJob(database, jobId)
    if (!job) return fail({ path: 'id', found: jobId, fix: message('problems.job.deleted') })
    if (job.startedAt) return fail({ path: 'id', found: jobId, fix: message('problems.job.begun') })
    const read = readJob(changedFile(job.jobFile, change))
    if (!read.ok) return read
    const { file } = read.value
    const { order } = change
    const planned = await inPool('planFile', { file, ...(order ? { order } : {}) })
    if (!planned.ok) return planned
    const plan = planned.value
    if (!plan)
      return fail({
        path: 'order',
        found: `${order?.length ?? 0} steps`,
        fix: message('problems.job.noBetter'),
      })
    if (await replacePlan(database, job, file, plan)) return succeed({ jobFile: file, plan })
  }
  return fail({
    path: 'id',
    found: jobId,
    fix: message('problems.job.changedElsewhere'),
  })
}
