import type { RunState } from '@/core/run/runState'

/** What has happened to a step, in seconds back from now (60: a minute ago). */
export interface SettledStep {
  readonly stepId: string
  readonly endedSecondsAgo: number
  /** When what it wetted was wetted last: at its end, or by a mist since. */
  readonly wettedSecondsAgo: number
  readonly isSkipped: boolean
}

/** The settled steps of a run, as the order from here needs them. */
export function settledSteps(state: RunState, nowMilliseconds: number): SettledStep[] {
  const ago = (at: Date): number => Math.max(0, (nowMilliseconds - at.getTime()) / 1000)
  const wettedAt = new Map(state.clocks.map((clock) => [clock.wettedBy, clock.wettedAt]))
  return [...state.settled].map(([stepId, { as, at }]) => ({
    stepId,
    endedSecondsAgo: ago(at),
    wettedSecondsAgo: ago(wettedAt.get(stepId) ?? at),
    isSkipped: as === 'skipped',
  }))
}
