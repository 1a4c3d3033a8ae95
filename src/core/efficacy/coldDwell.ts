import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { power } from '@/core/quantity/portableMath'

/** Below this, °C, time is given before anything else is changed. House estimate. */
export const coldBelowCelsius = 12

/** What labels tell their times for, °C. */
const labelCelsius = 20

/**
 * The shortest dwell on a cold wheel: the label's, times Q10^((20 − T)/10), never beyond the label's longest.
 * @param minSeconds the label's shortest
 * @param maxSeconds the label's longest
 * @param celsius temperature of what is wetted
 * @returns whole seconds; the label's shortest where it is not cold
 */
export function coldDwellSeconds(
  minSeconds: number,
  maxSeconds: number,
  celsius: number,
  overrides: EstimateOverrides,
): number {
  if (celsius >= coldBelowCelsius || minSeconds >= maxSeconds) return minSeconds
  const slower = power(estimate('q10', overrides), (labelCelsius - Math.max(0, celsius)) / 10)
  return Math.min(maxSeconds, Math.round((minSeconds * slower) / 5) * 5)
}
