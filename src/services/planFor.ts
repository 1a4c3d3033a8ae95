import { fail, succeed, type Result } from '@/core/result'
import type { Database } from '@/data/database'
import { findJob, setPlannedFor } from '@/data/queries/jobs'
import { liveProtection } from './due'

/** Gives a job its day and hour, or takes it away. Nothing wet is planned on what still cures then. */
export async function planFor(
  database: Database,
  jobId: string,
  at: Date | null,
  now: Date,
): Promise<Result<null>> {
  const job = await findJob(database, jobId)
  if (!job) return fail({ path: 'id', found: jobId, mend: 'This job was deleted.' })
  if (at !== null) {
    if (at < now)
      return fail({
        path: 'plannedFor',
        found: at.toISOString(),
        mend: 'Choose a date and time in the future.',
      })
    const planned = new Set(job.jobFile.corners.map(({ position }) => position))
    const curing = (await liveProtection(database, job.wheelSetId, now, at)).find(
      ({ position, isCuring }) => isCuring && planned.has(position),
    )
    if (curing)
      return fail({
        path: 'plannedFor',
        found: at.toISOString(),
        mend: `${curing.productName} is still curing then and must stay dry. Choose a later time.`,
      })
  }
  return (await setPlannedFor(database, jobId, at))
    ? succeed(null)
    : fail({ path: 'id', found: jobId, mend: 'This job has started or ended. Its time can’t be changed.' })
}
