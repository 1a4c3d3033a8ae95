import type { AwaySeconds } from '@/core/rescheduling/remaining'
import { resume, type Resumed } from '@/core/rescheduling/resume'
import type { SettledStep } from '@/core/rescheduling/settledSteps'
import type { Plan } from '@/core/plan/plan'
import { jobOf, type JobFile } from '@/contracts/jobFile'

/** The order from here; null where the job cannot be read, so that the planned order stands. */
export function resumeFromFile(
  file: JobFile,
  plan: Plan,
  settled: readonly SettledStep[],
  away: AwaySeconds,
): Resumed | null {
  const job = jobOf(file)
  return job.ok ? resume(job.value, plan, settled, away) : null
}
