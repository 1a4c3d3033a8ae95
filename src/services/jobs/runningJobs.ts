import type { PlanAsSeen } from '@/core/run/standingEvents'
import type { RunEvent } from '@/core/run/runEvent'
import type { Plan } from '@/core/plan/plan'
import type { Database } from '@/data/database'
import { findJob } from '@/data/queries/jobs'
import { listRunEvents } from '@/data/queries/runEvents'
import { seenAt } from './seenAt'

/** A job that is worked now, as it was at a version of its row. */
export interface RunningJob {
  readonly plan: Plan
  readonly planAsSeen: PlanAsSeen
  readonly events: readonly RunEvent[]
  readonly rowVersion: string
}

/** A shop works on a few jobs at once; a plan takes up to a megabyte. */
const maxKept = 8

const kept = new WeakMap<Database, Map<string, RunningJob>>()

const keptOf = (database: Database): Map<string, RunningJob> => {
  const known = kept.get(database) ?? new Map<string, RunningJob>()
  kept.set(database, known)
  return known
}

/** Keeps a job as it is after a tap, so that the next tap needs no look at the data. A tap over an old version is refused there. */
export function keepRunning(database: Database, jobId: string, job: RunningJob): void {
  const jobs = keptOf(database)
  jobs.delete(jobId)
  jobs.set(jobId, job)
  for (const oldest of jobs.keys()) {
    if (jobs.size <= maxKept) return
    jobs.delete(oldest)
  }
}

/** Drops a job that was found to be old; says whether anything was kept of it. */
export function forgetRunning(database: Database, jobId: string, old: RunningJob): boolean {
  const jobs = keptOf(database)
  const known = jobs.get(jobId)
  if (known === old) jobs.delete(jobId)
  return known !== undefined
}

/** A job with its taps, from memory where it was tapped before; null where there is none. */
export async function runningJob(database: Database, jobId: string): Promise<RunningJob | null> {
  const known = kept.get(database)?.get(jobId)
  if (known) return known
  // The version is read first: a tap that comes between the two makes it an old one.
  const job = await findJob(database, jobId)
  if (!job) return null
  const events = await listRunEvents(database, jobId)
  return { plan: job.plan, planAsSeen: seenAt(job), events, rowVersion: job.rowVersion }
}
