import type { Plan, Step } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'

/** What happened in the bay, in order. Undo takes back the last act that still stands. */
export type RunEvent =
  | { readonly kind: 'done'; readonly stepId: string; readonly at: Date }
  | { readonly kind: 'skipped'; readonly stepId: string; readonly at: Date }
  | { readonly kind: 'undone'; readonly stepId: string; readonly at: Date }

/** A chemical that is on a wheel now. */
export interface DwellClock {
  readonly corner: Position
  readonly stageId: string
  readonly productName: string
  readonly startedAt: Date
  readonly minSeconds: number
  readonly maxSeconds: number
}

export interface RunState {
  /** The one thing to do now; null when all is done. */
  readonly current: Step | null
  readonly next: Step | null
  readonly settledCount: number
  readonly settled: ReadonlyMap<string, 'done' | 'skipped'>
  /** When each settled step was tapped. */
  readonly settledAt: ReadonlyMap<string, Date>
  readonly clocks: readonly DwellClock[]
  /** The step that undo would take back; null when nothing was done yet. */
  readonly undoable: Step | null
}

/** Replays the events over the plan. Pure: the same events give the same state after a reload. */
export function runState(plan: Plan, events: readonly RunEvent[]): RunState {
  const steps = new Map(plan.steps.map((step) => [step.id, step]))
  const standing: Extract<RunEvent, { kind: 'done' | 'skipped' }>[] = []
  for (const event of events) {
    if (event.kind === 'undone') {
      const last = standing.findLastIndex(({ stepId }) => stepId === event.stepId)
      if (last >= 0) standing.splice(last, 1)
    } else if (steps.has(event.stepId) && !standing.some(({ stepId }) => stepId === event.stepId)) {
      standing.push(event)
    }
  }
  const clocks = new Map<string, DwellClock>()
  for (const { stepId, kind, at } of standing) {
    const step = steps.get(stepId)
    if (!step?.corner) continue
    if (step.stopsDwellOf !== null && kind === 'done') clocks.delete(`${step.corner}.${step.stopsDwellOf}`)
    if (step.startsDwell && step.stageId !== null && kind === 'done') {
      const key = `${step.corner}.${step.stageId}`
      // A fresh round is fresh product: its dwell and its limit begin anew.
      clocks.set(key, {
        corner: step.corner,
        stageId: step.stageId,
        productName: plan.stages.find(({ id }) => id === step.stageId)?.productName ?? '',
        startedAt: at,
        ...step.startsDwell,
      })
    }
  }
  const settled = new Map(standing.map(({ stepId, kind }) => [stepId, kind]))
  const open = plan.steps.filter(({ id }) => !settled.has(id))
  const last = standing.at(-1)
  return {
    current: open[0] ?? null,
    next: open[1] ?? null,
    settledCount: settled.size,
    settled,
    settledAt: new Map(standing.map(({ stepId, at }) => [stepId, at])),
    clocks: [...clocks.values()],
    undoable: last ? (steps.get(last.stepId) ?? null) : null,
  }
}

/** What a running clock says now. */
export interface ClockReading {
  readonly elapsedSeconds: number
  readonly phase: 'dwelling' | 'ready' | 'rinseNow' | 'over'
  /** Seconds to the next change of phase: to the end of the dwell, then to the latest rinse; negative once over. */
  readonly remainingSeconds: number
}

/** Share of the time between dwell and limit at which the warning turns warm. */
const warmShare = 0.7

export function readClock(clock: DwellClock, nowMilliseconds: number): ClockReading {
  const elapsedSeconds = Math.max(0, Math.floor((nowMilliseconds - clock.startedAt.getTime()) / 1000))
  const { minSeconds, maxSeconds } = clock
  if (elapsedSeconds < minSeconds)
    return { elapsedSeconds, phase: 'dwelling', remainingSeconds: minSeconds - elapsedSeconds }
  const remainingSeconds = maxSeconds - elapsedSeconds
  if (remainingSeconds < 0) return { elapsedSeconds, phase: 'over', remainingSeconds }
  const warm = minSeconds + (maxSeconds - minSeconds) * warmShare
  return { elapsedSeconds, phase: elapsedSeconds >= warm ? 'rinseNow' : 'ready', remainingSeconds }
}
