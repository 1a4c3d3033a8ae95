import { message, type Said } from '@/core/message/message'
import { wetTimes } from '@/core/chemistry/longest'
import { stagesOfStep, takesOff, type Plan, type Stage, type Step } from '@/core/plan/plan'
import type { DwellClock } from './dwellClock'
import type { Answer } from './answer'
import { isWorked, settles, type RunEvent } from './runEvent'
import { standingEvents, unseen, type PlanAsSeen } from './standingEvents'
import { tapTimes, type TapTime } from './tapTimes'

/** What undo would take back. */
export interface Undoable {
  readonly kind: 'tapUndone' | 'mistUndone'
  readonly stepId: string
  readonly title: Said
}

/** A step that was tapped. */
export interface Settled extends TapTime {
  readonly as: 'done' | 'skipped'
  /** The moment of the tap; `at` is when the step was over. */
  readonly tappedAt: Date
  readonly person?: number
  /** What was seen at it. */
  readonly answer?: Answer
}

export interface RunState {
  /** The plan as what was seen has made it. */
  readonly plan: Plan
  readonly settledCount: number
  readonly settled: ReadonlyMap<string, Settled>
  readonly clocks: readonly DwellClock[]
  /** Null when nothing was done yet. */
  readonly undoable: Undoable | null
}

/** A clock after a mist: the film begins anew, and what only must not dry may stay for twice the label's time. */
const misted = (clock: DwellClock, wettedAt: Date, stage: Stage | undefined): DwellClock => ({
  ...clock,
  wettedAt,
  maxSeconds:
    clock.limit === 'wet'
      ? Math.max(clock.maxSeconds, wetTimes * (stage?.dwellSeconds.max ?? 0))
      : clock.maxSeconds,
})

/** The chemicals on the wheels after these events. */
function clocksAfter(
  plan: Plan,
  standing: readonly RunEvent[],
  times: ReadonlyMap<RunEvent, TapTime>,
  steps: ReadonlyMap<string, Step>,
): DwellClock[] {
  const clocks = new Map<string, DwellClock>()
  const stageOf = (stageId: string): Stage | undefined => plan.stages.find(({ id }) => id === stageId)
  for (const event of standing) {
    const { stepId, kind } = event
    const at = times.get(event)?.at ?? event.at
    const step = steps.get(stepId)
    if (!step?.corner || kind === 'skipped') continue
    const key = `${step.corner}.${step.stageId}`
    const running = clocks.get(key)
    if (kind === 'misted') {
      if (running) clocks.set(key, misted(running, at, stageOf(running.stageId)))
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
          productName: stageOf(stageId)?.productName ?? '',
          limit: stageOf(stageId)?.longest?.kind ?? 'contact',
          startedAt: at,
          ...(times.get(event)?.isEstimated ? { isEstimated: true } : {}),
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
 * Replays the events over the plan. Pure: the same events give the same state after a reload, in the browser and on the server.
 * @param planAsSeen what the answers make of the plan; `unseen(plan)` where they change nothing
 * @param person where two work: whose taps undo takes back
 */
export function replay(planAsSeen: PlanAsSeen, events: readonly RunEvent[], person?: number): RunState {
  const { events: standing, plan } = standingEvents(events, planAsSeen)
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const taps = standing.filter(({ kind }) => settles(kind))
  const times = tapTimes(taps, steps)
  const settled = new Map(
    taps.flatMap((event): [string, Settled][] => {
      const { stepId, kind, at, person: tapper, answer } = event
      const time = times.get(event)
      const as = isWorked(kind) ? 'done' : 'skipped'
      return time
        ? [[stepId, { as, ...time, tappedAt: at, person: tapper, ...(answer ? { answer } : {}) }]]
        : []
    }),
  )
  return {
    plan,
    settledCount: settled.size,
    settled,
    clocks: clocksAfter(plan, standing, times, steps),
    undoable: undoableOf(
      standing.findLast((one) => person === undefined || (one.person ?? person) === person),
      steps,
    ),
  }
}

/** The state of a run in which nothing was asked. */
export const runState = (plan: Plan, events: readonly RunEvent[], person?: number): RunState =>
  replay(unseen(plan), events, person)

function undoableOf(last: RunEvent | undefined, steps: ReadonlyMap<string, Step>): Undoable | null {
  const step = last && steps.get(last.stepId)
  if (!step) return null
  return last.kind === 'misted'
    ? { kind: 'mistUndone', stepId: step.id, title: message('observations.mistAfter', { title: step.title }) }
    : { kind: 'tapUndone', stepId: step.id, title: step.title }
}
