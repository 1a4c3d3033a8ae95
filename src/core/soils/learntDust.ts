import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Position } from '@/core/wheel/position'
import { expectedAmounts, learntFactor, type SinceClean } from './expectedLoad'
import { amountOfGrade, type Grade, type Soil } from './soil'

/** The dirt of a wheel as it was graded, zone by zone. */
export interface GradedWheel {
  readonly position: Position
  readonly loads: readonly { readonly soil: Soil; readonly grade: Grade }[]
}

/**
 * What is known of a vehicle's brake dust after its wheels were graded: moved by the difference between what was expected since the
 * last clean and what was seen.
 * @param known the factor so far; 1 is as the house expects
 */
export function learntDust(
  known: number,
  graded: readonly GradedWheel[],
  since: SinceClean,
  estimates: EstimateOverrides,
): number {
  const sum = (amounts: readonly number[]): number => amounts.reduce((total, one) => total + one, 0)
  const expected = graded.map(({ position }) => expectedAmounts(position, since, estimates).freshDust ?? 0)
  const seen = graded.map(({ loads }) =>
    Math.max(0, ...loads.filter(({ soil }) => soil === 'freshDust').map(({ grade }) => amountOfGrade(grade))),
  )
  return learntFactor(known, sum(expected), sum(seen))
}
