import { betterOrders } from '@/core/order/orderPlan'
import { jobOf, type JobFile } from '@/contracts/jobFile'
import { writePlan, type PlanFile } from '@/contracts/planFile'

/** States looked into before it rests: some seconds. */
export const refineEffort = 600_000

/** Looks on for a better order and tells of every one as it is found. Ends when it rests; ended with the worker before that. */
export function refineFromFile(
  file: JobFile,
  tell: (better: PlanFile) => void,
  effort: number = refineEffort,
): void {
  const job = jobOf(file)
  if (!job.ok) return
  for (const better of betterOrders(job.value, effort)) if (better) tell(writePlan(better))
}
