import type { Job } from '@/core/job/job'
import type { Plan, Step } from '@/core/plan/plan'
import type { Lag, SequenceProblem } from '@/core/sequence/problem/problem'
import { planProblem, restWhy, type PlanProblem } from '@/core/order/planProblem'
import type { SettledStep } from './settledSteps'
import { withSpareMists, type SpareMist } from './spareMists'

/** People who cannot work yet: seconds from now until each is back; absent: all are here. */
export type AwaySeconds = readonly number[]

/** The problem of what is left, with what is wet since its own instant. */
export function remainingProblem(
  problem: SequenceProblem,
  done: ReadonlyMap<number, number>,
  away: AwaySeconds = [],
): SequenceProblem {
  return {
    ...problem,
    // Between two things that are over nothing can be kept or broken any more.
    lags: problem.lags.filter(({ from, to, why }) => why !== restWhy && (!done.has(from) || !done.has(to))),
    done,
    peopleAtStart: Array.from({ length: problem.people }, (_, person) => ({
      availableAtSeconds: away[person] ?? 0,
      place: null,
      tool: null,
    })),
  }
}

/** What is left of a run, as a problem from now. */
export interface Remaining {
  readonly made: PlanProblem
  readonly problem: SequenceProblem
  /** Mists the problem has beyond the steps. */
  readonly mists: readonly SpareMist[]
  /** When what is settled was over, seconds before now as numbers below zero, by operation. */
  readonly done: ReadonlyMap<number, number>
  /** Operations that are left, in the order of the plan. */
  readonly open: readonly number[]
  /** Steps that are left before the first wheel, and after the last. */
  readonly before: readonly Step[]
  readonly after: readonly Step[]
}

export function remainingOf(
  job: Job,
  plan: Plan,
  settled: readonly SettledStep[],
  away: AwaySeconds = [],
): Remaining {
  const made = planProblem(job, plan)
  const known = new Map(settled.map((one) => [one.stepId, one]))
  const done = new Map<number, number>()
  made.steps.forEach((step, id) => {
    const one = known.get(step.id)
    if (one) done.set(id, -Math.round(one.endedSecondsAgo))
  })
  const skipped = new Set(made.steps.flatMap((step, id) => (known.get(step.id)?.isSkipped ? [id] : [])))
  const lags = made.problem.lags.map((lag): Lag => {
    // What was skipped wets nothing and asks for nothing.
    if (skipped.has(lag.from)) return { ...lag, minSeconds: 0, maxSeconds: null }
    // A mist in between begins the film's time anew.
    const one = known.get(made.steps[lag.from]?.id ?? '')
    return one && lag.why === 'wet' && lag.maxSeconds !== null
      ? { ...lag, maxSeconds: lag.maxSeconds + Math.round(one.endedSecondsAgo - one.wettedSecondsAgo) }
      : lag
  })
  const left = remainingProblem({ ...made.problem, lags }, done, away)
  return {
    made,
    ...withSpareMists(job, left, made.steps, made.problem.lags),
    done,
    open: made.steps.flatMap((_, id) => (done.has(id) ? [] : [id])),
    before: made.before.filter(({ id }) => !known.has(id)),
    after: made.after.filter(({ id }) => !known.has(id)),
  }
}
