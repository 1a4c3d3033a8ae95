import type { Plan, Step } from '@/core/plan/plan'
import type { Answer } from './answer'
import { settles, type RunEvent, type RunEventKind } from './runEvent'
import { burstWith } from './tapTimes'

/** What was seen at a step. */
export interface Answered {
  readonly stepId: string
  readonly answer: Answer
  /** Steps that were worked or skipped before. */
  readonly settledBefore: ReadonlySet<string>
}

/**
 * The plan as what was seen has made it.
 * @param answers in the order they were given
 * @param unaware steps that were settled after they had fallen away, by somebody who did not know: they stay in the plan
 */
export type PlanAsSeen = (answers: readonly Answered[], unaware: ReadonlySet<string>) => Plan

/** A plan that nothing seen changes. */
export const unseen =
  (plan: Plan): PlanAsSeen =>
  () =>
    plan

export interface Standing {
  /** Nothing undone, no step settled twice, nothing of another plan. */
  readonly events: readonly RunEvent[]
  readonly plan: Plan
}

function answeredBy(events: readonly RunEvent[]): Answered[] {
  const settled: string[] = []
  return events.flatMap(({ stepId, answer, kind }) => {
    const answered = answer ? [{ stepId, answer, settledBefore: new Set(settled) }] : []
    if (settles(kind)) settled.push(stepId)
    return answered
  })
}

/** What the same tap has settled. */
const tapWith = (event: RunEvent, taps: readonly RunEvent[]): RunEvent[] =>
  taps.filter(({ at, person }) => at.getTime() === event.at.getTime() && person === event.person)

const stepsOf = ({ steps }: Plan): ReadonlyMap<string, Step> => new Map(steps.map((step) => [step.id, step]))

/** The events that still stand, and the plan they have made; each is held against the plan as it was when it happened. */
export function standingEvents(events: readonly RunEvent[], planAsSeen: PlanAsSeen): Standing {
  const standing: RunEvent[] = []
  let plan = planAsSeen([], new Set())
  const first = stepsOf(plan)
  let steps = first
  const unaware = new Set<string>()
  const seeAnew = (): void => {
    const next = planAsSeen(answeredBy(standing), unaware)
    if (next === plan) return
    plan = next
    steps = stepsOf(plan)
  }
  const takeBack = (...gone: readonly (RunEvent | undefined)[]): void => {
    for (const event of gone) if (event) standing.splice(standing.indexOf(event), 1)
    const wasUnaware = gone.some((event) => event && unaware.delete(event.stepId))
    if (wasUnaware || gone.some((event) => event?.answer)) seeAnew()
  }
  for (const event of events) {
    const { kind, stepId, answer } = event
    // What was left out meanwhile may have been worked by somebody who did not know.
    if (!steps.has(stepId) && !first.has(stepId)) continue
    const last = (isMeant: (kind: RunEventKind) => boolean) =>
      standing.findLast((one) => one.stepId === stepId && isMeant(one.kind))
    switch (kind) {
      case 'done':
      case 'answered':
      case 'skipped':
        if (last(settles)) break
        standing.push(event)
        if (!steps.has(stepId)) unaware.add(stepId)
        if (answer || unaware.has(stepId)) seeAnew()
        break
      case 'misted':
        standing.push(event)
        break
      case 'undone':
        takeBack(last(settles))
        break
      case 'mistUndone':
        takeBack(last((one) => one === 'misted'))
        break
      case 'tapUndone': {
        const tapped = last(settles)
        const taps = standing.filter((one) => settles(one.kind))
        // Who answers has looked: an answer is taken back alone, not with what was caught up with before it.
        if (tapped) takeBack(...(tapped.answer ? tapWith(tapped, taps) : burstWith(tapped, taps, steps)))
        break
      }
      default:
        kind satisfies never
    }
  }
  return { events: standing.filter(({ stepId }) => steps.has(stepId)), plan }
}
