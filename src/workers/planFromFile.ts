import { planInOrder } from '@/core/order/orderPlan'
import { failWith, succeed, type Result } from '@/core/result'
import { jobOf, type JobFile } from '@/contracts/jobFile'
import { writePlan, type PlanFile } from '@/contracts/planFile'

/** Plans a job file that was checked before. Plain data in and out, so that it can cross to a worker and back. */
export function planFromFile(file: JobFile): Result<PlanFile> {
  const job = jobOf(file)
  if (!job.ok) return failWith(job.problems)
  return succeed(writePlan(planInOrder(job.value)))
}
