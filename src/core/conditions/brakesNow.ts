import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Position } from '@/core/wheel/position'
import type { Conditions } from './conditions'
import { coolingOf } from './hotBrakes'

/** A brake that is too hot to wet. */
export interface HotBrake {
  readonly position: Position
  /** At the second reading. */
  readonly celsius: number
  /** Until it is cool enough, seconds; null: it does not cool, by its readings. */
  readonly waitSeconds: number | null
}

/** The brakes that are too hot by their readings, the longest wait first. */
export function hotBrakes({ brakes, airCelsius }: Conditions, overrides: EstimateOverrides): HotBrake[] {
  return brakes
    .flatMap(({ position, ...readings }): HotBrake[] => {
      const cooling = coolingOf(readings, airCelsius, estimate('coolEnoughCelsius', overrides))
      const celsius = readings.secondCelsius
      if (!cooling.ok) return [{ position, celsius, waitSeconds: null }]
      const waitSeconds = Math.round(cooling.value.waitMinutes * 60)
      return waitSeconds > 0 ? [{ position, celsius, waitSeconds }] : []
    })
    .sort((a, b) => (b.waitSeconds ?? Infinity) - (a.waitSeconds ?? Infinity))
}
