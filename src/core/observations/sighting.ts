import type { Corner, Job } from '@/core/job/job'
import type { Plan, Step } from '@/core/plan/plan'
import type { Answer } from '@/core/run/answer'
import type { Question } from '@/core/acts/question'

/** An answer at the step it was given at. */
export interface Sighting<Q extends Question = Question> {
  readonly job: Job
  readonly plan: Plan
  readonly step: Step
  readonly corner: Corner
  readonly answer: Extract<Answer, { readonly question: Q }>
  /** All answers up to this one, by step. */
  readonly answers: ReadonlyMap<string, Answer>
  /** Steps that were worked or skipped before, or by somebody who did not know: they stay, whatever is seen. */
  readonly settled: ReadonlySet<string>
}
