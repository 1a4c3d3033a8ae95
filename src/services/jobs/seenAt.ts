import { unseen, type PlanAsSeen } from '@/core/run/standingEvents'
import { planAsSeen } from '@/core/observations/planAsSeen'
import { jobOf, type JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'

/** The plan of a stored job as what was seen changes it; a job that cannot be read any more keeps its plan. */
export function seenAt({
  jobFile,
  plan,
}: {
  readonly jobFile: JobFile
  readonly plan: PlanFile
}): PlanAsSeen {
  const job = jobOf(jobFile)
  return job.ok ? planAsSeen(job.value, plan) : unseen(plan)
}
