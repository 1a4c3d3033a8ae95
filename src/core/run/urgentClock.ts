import { takesOff, type Step } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { clockPhases, leftSeconds, readClock, type ClockPhase, type DwellClock } from './dwellClock'

/** The clock of a wheel that ends first; null when nothing is wet there. */
export const urgentClock = (
  clocks: readonly DwellClock[],
  position: Position,
  nowMilliseconds: number,
): DwellClock | null =>
  clocks
    .filter(({ corner }) => corner === position)
    .sort((a, b) => leftSeconds(a, nowMilliseconds) - leftSeconds(b, nowMilliseconds))[0] ?? null

export const isMoreSerious = (one: ClockPhase, other: ClockPhase): boolean =>
  clockPhases.indexOf(one) > clockPhases.indexOf(other)

/** Seconds until a step may be begun because its chemical has to dwell; null when it need not wait. */
export function dwellLeftSeconds(
  clocks: readonly DwellClock[],
  step: Step,
  nowMilliseconds: number,
): number | null {
  // A fresh round and a mist do not wait.
  if (step.act === 'spray' || step.act === 'reMist') return null
  const clock = clocks.find(({ corner, stageId }) => corner === step.corner && stageId === step.stageId)
  const left = clock ? clock.minSeconds - readClock(clock, nowMilliseconds).elapsedSeconds : 0
  return left > 0 ? left : null
}

/** The step in hand wets or rinses what this clock is about. */
const caresFor = (step: Step, clock: DwellClock): boolean =>
  step.corner === clock.corner &&
  (takesOff(step, clock.stageId) || (step.stageId === clock.stageId && step.wetLimitSeconds !== null))

/**
 * The film that has to be wetted out of turn: nearly dry or dry already, while all hands are elsewhere or wait for the dwell; the
 * one that is nearest its end. Null when none is.
 * @param inHand the step each person is at
 */
export function filmToWet(
  clocks: readonly DwellClock[],
  inHand: readonly Step[],
  nowMilliseconds: number,
): DwellClock | null {
  const isWaiting = (step: Step): boolean => dwellLeftSeconds(clocks, step, nowMilliseconds) !== null
  return (
    clocks
      .filter((clock) => ['keepWet', 'dry'].includes(readClock(clock, nowMilliseconds).phase))
      .filter((clock) => !inHand.some((step) => caresFor(step, clock) && !isWaiting(step)))
      .sort((a, b) => leftSeconds(a, nowMilliseconds) - leftSeconds(b, nowMilliseconds))[0] ?? null
  )
}
