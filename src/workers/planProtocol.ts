import type { AwaySeconds } from '@/core/rescheduling/remaining'
import type { Resumed } from '@/core/rescheduling/resume'
import type { SettledStep } from '@/core/rescheduling/settledSteps'
import type { Plan } from '@/core/plan/plan'
import type { Result } from '@/core/result'
import type { JobFile } from '@/contracts/jobFile'
import type { PlanFile } from '@/contracts/planFile'

/** What the planning worker answers; plain data crosses in both directions. */
export interface PlanProtocol {
  planFromFile(file: JobFile): Result<PlanFile>
  /** Looks on for better orders; `tell` hears of every one. */
  refineFromFile(file: JobFile, tell: (better: PlanFile) => void): void
  /** The order of what is left; null where the job cannot be read any more. */
  resumeFromFile(
    file: JobFile,
    plan: Plan,
    settled: readonly SettledStep[],
    away: AwaySeconds,
  ): Resumed | null
}
