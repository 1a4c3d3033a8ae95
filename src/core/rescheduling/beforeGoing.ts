import { takesOff, type Plan, type SequenceEntry, type Step } from '@/core/plan/plan'
import { leftSeconds, type DwellClock } from '@/core/run/dwellClock'

/**
 * What a person who is called away has to take off before going, the most urgent first: the rinses that would come too late if
 * all that is left began only when they are back.
 * @param entries the order of what is left, seconds from now
 */
export function beforeGoing(
  plan: Plan,
  entries: readonly SequenceEntry[],
  clocks: readonly DwellClock[],
  nowMilliseconds: number,
  awaySeconds: number,
): Step[] {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  return (
    clocks
      .flatMap((clock) => {
        const rinse = entries.find(({ stepId }) => {
          const step = steps.get(stepId)
          return step?.corner === clock.corner && takesOff(step, clock.stageId)
        })
        const step = rinse && steps.get(rinse.stepId)
        if (!step) return []
        const left = leftSeconds(clock, nowMilliseconds)
        return left < awaySeconds + rinse.startSeconds ? [{ step, left }] : []
      })
      .sort((a, b) => a.left - b.left)
      .map(({ step }) => step)
      // What is wet together leaves with one rinse.
      .filter((step, at, all) => all.indexOf(step) === at)
  )
}

/** Steps that a rinse out of turn leaves out: what was still to be done with that chemical at that wheel. */
export const leftOutBy = (plan: Plan, rinse: Step, settled: ReadonlyMap<string, unknown>): Step[] => {
  const at = plan.steps.findIndex(({ id }) => id === rinse.id)
  return plan.steps
    .slice(0, at)
    .filter(
      ({ id, corner, stageId }) => corner === rinse.corner && takesOff(rinse, stageId) && !settled.has(id),
    )
}
