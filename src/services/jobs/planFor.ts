import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { findJob, setPlannedFor } from '@/data/queries/jobs'
import { liveProtection } from '@/services/due'

/** Gives a job its day and hour, or takes it away. Nothing wet is planned on what still cures then. */
export async function planFor(
  database: Database,
  jobId: string,
  at: Date | null,
  now: Date,
): Promise<Result<null>> {
  const job = await findJob(database, jobId)
  if (!job) return fail({ path: 'id', found: jobId, fix: message('problems.job.deleted') })
  if (at !== null) {
    if (at < now)
      return fail({
        path: 'plannedFor',
        found: at.toISOString(),
        fix: message('problems.job.futureTime'),
      })
    const planned = new Set(job.jobFile.corners.map(({ position }) => position))
    const curing = (await liveProtection(database, job.wheelSetId, now, at)).find(
      ({ position, isCuring }) => isCuring && planned.has(position),
    )
    if (curing)
      return fail({
        path: 'plannedFor',
        found: at.toISOString(),
        fix: message('problems.job.curing', { product: curing.productName }),
      })
  }
  return (await setPlannedFor(database, jobId, at))
    ? succeed(null)
    : fail({ path: 'id', found: jobId, fix: message('problems.job.started') })
}
