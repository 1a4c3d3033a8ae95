import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import { loggedTimes, pacesOf } from '@/core/run/pace'
import { replay } from '@/core/run/runState'
import type { Paces } from '@/core/pace/paces'
import { listFinishedJobs } from '@/data/queries/jobs'
import type { Queryable } from '@/data/database'
import { seenAt } from './seenAt'

/** Older jobs say little about how somebody works today. */
const jobsThatCount = 12

/** What the taps of the last jobs say about how fast one works here. */
export async function learntPace(database: Queryable, estimates: EstimateOverrides): Promise<Paces> {
  const worked = await listFinishedJobs(database, jobsThatCount)
  return pacesOf(
    worked.flatMap(({ job, events }) =>
      loggedTimes(replay(seenAt(job), events), job.jobFile.pace, job.jobFile.crew?.people ?? 1),
    ),
    estimates,
  )
}
