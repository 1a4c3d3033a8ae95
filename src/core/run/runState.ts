import { stagesOfStep, takesOff, type Plan, type Step } from '@/core/plan/plan'
import type { DwellClock } from './dwellClock'
import type { RunEvent } from './runEvent'
import { burstWith, tapTimes, type TapTime } from './tapTimes'

/** What undo would take back. */
export interface Undoable {
  readonly kind: 'tapUndone' | 'mistUndone'
  readonly stepId: string
  readonly title: string
}

/** A step that was tapped. */
export interface Settled extends TapTime {
  readonly as: 'done' | 'skipped'
  /** The moment of the tap; `at` is when the step was over. */
  readonly tappedAt: Date
  readonly person?: number
}

export interface RunState {
  readonly settledCount: number
  readonly settled: ReadonlyMap<string, Settled>
  readonly clocks: readonly DwellClock[]
  /** Null when nothing was done yet. */
  readonly undoable: Undoable | null
}

const settles = (kind: RunEvent['kind']): kind is 'done' | 'skipped' => kind === 'done' || kind === 'skipped'

/** The events that still stand: nothing undone, no step settled twice, nothing of another plan. */
function standingEvents(events: readonly RunEvent[], steps: ReadonlyMap<string, Step>): RunEvent[] {
  const standing: RunEvent[] = []
  const isSettled = (id: string) => standing.some(({ stepId, kind }) => stepId === id && settles(kind))
  const takeBack = (...gone: readonly (RunEvent | undefined)[]) => {
    for (const event of gone) if (event) standing.splice(standing.indexOf(event), 1)
  }
  for (const event of events) {
    const { kind, stepId } = event
    if (!steps.has(stepId)) continue
    const last = (isMeant: (kind: RunEvent['kind']) => boolean) =>
      standing.findLast((one) => one.stepId === stepId && isMeant(one.kind))
    switch (kind) {
      case 'done':
      case 'skipped':
        if (!isSettled(stepId)) standing.push(event)
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
        if (tapped)
          takeBack(
            ...burstWith(
              tapped,
              standing.filter((one) => settles(one.kind)),
              steps,
            ),
          )
        break
      }
      default:
        kind satisfies never
    }
  }
  return standing
}

/** The chemicals on the wheels after these events. */
function clocksAfter(
  plan: Plan,
  standing: readonly RunEvent[],
  times: ReadonlyMap<RunEvent, TapTime>,
  steps: ReadonlyMap<string, Step>,
): DwellClock[] {
  const clocks = new Map<string, DwellClock>()
  for (const event of standing) {
    const { stepId, kind } = event
    const at = times.get(event)?.at ?? event.at
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
  const taps = standing.filter(({ kind }) => settles(kind))
  const times = tapTimes(taps, steps)
  const settled = new Map(
    taps.flatMap((event): [string, Settled][] => {
      const { stepId, kind, at, person: tapper } = event
      const time = times.get(event)
      return time && settles(kind) ? [[stepId, { as: kind, ...time, tappedAt: at, person: tapper }]] : []
    }),
  )
  return {
    settledCount: settled.size,
    settled,
    clocks: clocksAfter(plan, standing, times, steps),
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
    : { kind: 'tapUndone', stepId: step.id, title: step.title }
}
