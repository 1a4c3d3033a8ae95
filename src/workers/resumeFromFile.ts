import { resume, type AwaySeconds, type Resumed } from '@/core/order/resume'
import type { SettledStep } from '@/core/order/settledSteps'
import { jobOf, type JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'

/** The order from here; null where the job cannot be read, so that the planned order stands. */
export function resumeFromFile(
  file: JobFile,
  plan: PlanFile,
  settled: readonly SettledStep[],
  away: AwaySeconds,
): Resumed | null {
  const job = jobOf(file)
  return job.ok ? resume(job.value, plan, settled, away) : null
}
