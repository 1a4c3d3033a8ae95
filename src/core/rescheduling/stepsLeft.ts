import { takesOff, type Plan, type Step } from '@/core/plan/plan'
import type { RunState } from '@/core/run/runState'
import type { Resumed } from './resume'

/**
 * What is still to do, first things first.
 * @param order the order from here; null while it is worked out, then the plan's own serves
 * @param person whose steps, 0 or 1, where two work; null for all
 */
export function stepsLeft(plan: Plan, state: RunState, order: Resumed | null, person: number | null): Step[] {
  const entries = order?.entries ?? plan.sequence?.entries ?? []
  const rank = new Map(entries.map(({ stepId }, at) => [stepId, at]))
  const left = plan.steps
    .filter(({ id }) => !state.settled.has(id) && !order?.dropped.includes(id))
    .sort((a, b) => (rank.get(a.id) ?? 0) - (rank.get(b.id) ?? 0))
  if (person === null) return left
  const personOf = new Map(
    [...(plan.sequence?.entries ?? []), ...entries].map((entry) => [entry.stepId, entry.person]),
  )
  // What belongs to no wheel is done together, when its turn comes; who has no wheel left helps the other.
  const own = left.filter(({ id, corner }) => corner === null || (personOf.get(id) ?? 0) === person)
  return own[0] === left[0] || own.some(({ corner }) => corner !== null) ? own : left
}

/** Brush work at the wheel that a rinse out of turn gives up: of every chemical it takes off. */
export function givenUpBy(rinse: Step, plan: Plan, order: Resumed | null, state: RunState): string[] {
  if (rinse.act !== 'rinse') return []
  const dropped = new Set(order?.dropped)
  return plan.steps
    .filter(({ id }) => dropped.has(id) && !state.settled.has(id))
    .filter(
      ({ corner, stageId, part }) =>
        corner === rinse.corner && part?.number === rinse.part?.number && takesOff(rinse, stageId),
    )
    .map(({ id }) => id)
}
