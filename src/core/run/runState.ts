import { stagesOfStep, takesOff, type Plan, type Step } from '@/core/plan/plan'
import type { DwellClock } from './dwellClock'

/** Steps are settled by `done` and `skipped`; `misted` wets once more what the named step had wetted. */
export const runEventKinds = ['done', 'skipped', 'undone', 'misted', 'mistUndone'] as const

/** What happened in the bay, in order. Undo takes back the last act that still stands. */
export interface RunEvent {
  readonly kind: (typeof runEventKinds)[number]
  readonly stepId: string
  readonly at: Date
  /** Who tapped, 0 or 1; absent where nobody said. */
  readonly person?: number
}

/** What undo would take back. */
export interface Undoable {
  readonly kind: 'undone' | 'mistUndone'
  readonly stepId: string
  readonly title: string
}

/** A step that was tapped. */
export interface Settled {
  readonly as: 'done' | 'skipped'
  readonly at: Date
  readonly person?: number
}

export interface RunState {
  /** The one thing to do now; null when all is done. */
  readonly current: Step | null
  readonly next: Step | null
  readonly settledCount: number
  readonly settled: ReadonlyMap<string, Settled>
  readonly clocks: readonly DwellClock[]
  /** Null when nothing was done yet. */
  readonly undoable: Undoable | null
}

const undoes = { undone: ['done', 'skipped'], mistUndone: ['misted'] } as const

/** The events that still stand: nothing undone, no step settled twice, nothing of another plan. */
function standingEvents(events: readonly RunEvent[], steps: ReadonlyMap<string, Step>): RunEvent[] {
  const standing: RunEvent[] = []
  const isSettled = (id: string) => standing.some(({ stepId, kind }) => stepId === id && kind !== 'misted')
  for (const event of events) {
    const { kind, stepId } = event
    if (!steps.has(stepId)) continue
    if (kind === 'undone' || kind === 'mistUndone') {
      const kinds: readonly RunEvent['kind'][] = undoes[kind]
      const last = standing.findLastIndex((one) => one.stepId === stepId && kinds.includes(one.kind))
      if (last >= 0) standing.splice(last, 1)
    } else if (kind === 'misted' || !isSettled(stepId)) standing.push(event)
  }
  return standing
}

/** The chemicals on the wheels after these events. */
function clocksAfter(
  plan: Plan,
  standing: readonly RunEvent[],
  steps: ReadonlyMap<string, Step>,
): DwellClock[] {
  const clocks = new Map<string, DwellClock>()
  for (const { stepId, kind, at } of standing) {
    const step = steps.get(stepId)
    if (!step?.corner || kind === 'skipped') continue
    const key = `${step.corner}.${step.stageId}`
    const running = clocks.get(key)
    if (kind === 'misted') {
      if (running) clocks.set(key, { ...running, wettedAt: at })
      continue
    }
    for (const [clockKey, clock] of clocks)
      if (clock.corner === step.corner && takesOff(step, clock.stageId)) clocks.delete(clockKey)
    if (step.startsDwell) {
      // A fresh round is fresh product: its dwell and its limit begin anew.
      for (const stageId of stagesOfStep(step))
        clocks.set(`${step.corner}.${stageId}`, {
          corner: step.corner,
          stageId,
          productName: plan.stages.find(({ id }) => id === stageId)?.productName ?? '',
          startedAt: at,
          ...step.startsDwell,
          wettedBy: stepId,
          wettedAt: at,
          wetSeconds: step.wetLimitSeconds,
        })
    } else if (running && step.wetLimitSeconds !== null) {
      clocks.set(key, { ...running, wettedBy: stepId, wettedAt: at, wetSeconds: step.wetLimitSeconds })
    }
  }
  return [...clocks.values()]
}

/**
 * Replays the events over the plan. Pure: the same events give the same state after a reload.
 * @param person where two work: whose taps undo takes back
 */
export function runState(plan: Plan, events: readonly RunEvent[], person?: number): RunState {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const standing = standingEvents(events, steps)
  const settled = new Map(
    standing.flatMap(({ stepId, kind, at, person }): [string, Settled][] =>
      kind === 'done' || kind === 'skipped' ? [[stepId, { as: kind, at, person }]] : [],
    ),
  )
  const open = plan.steps.filter(({ id }) => !settled.has(id))
  return {
    current: open[0] ?? null,
    next: open[1] ?? null,
    settledCount: settled.size,
    settled,
    clocks: clocksAfter(plan, standing, steps),
    undoable: undoableOf(
      standing.findLast((one) => person === undefined || (one.person ?? person) === person),
      steps,
    ),
  }
}

function undoableOf(last: RunEvent | undefined, steps: ReadonlyMap<string, Step>): Undoable | null {
  const step = last && steps.get(last.stepId)
  if (!step) return null
  return last.kind === 'misted'
    ? { kind: 'mistUndone', stepId: step.id, title: `the mist after: ${step.title}` }
    : { kind: 'undone', stepId: step.id, title: step.title }
}
