import type { FollowedSet } from './followed'
import type { WearEstimates } from './record'
import { fitOf, stillTold, toldBy, type Evidence } from './evidence'
import { ofSet, type Unknowns, type Values } from './unknowns'

const maxTurns = 12
const farthestStep = 0.4

/** How much sooner a set may wear, natural logarithm: where to begin. */
const beginnings = [0, -0.3, 0.3, -0.6, 0.6, -0.9, 0.9, -1.2, -1.6, -2.2, -3] as const

/**
 * Where to begin: a layer that should be gone and looks like new lies so far off that no slope leads there from the house's value.
 */
function likeliest(
  set: FollowedSet,
  at: number,
  unknowns: Unknowns,
  values: Values,
  estimates: WearEstimates,
): number {
  // Its products may have their share in it; who has how much, the whole shop says later.
  const { setSpread, productSpread } = estimates
  const weight = 1 / (setSpread * setSpread + productSpread * productSpread)
  let [best, bestFit] = [0, -Infinity]
  for (const value of [...beginnings, values.ofSets[at * ofSet] ?? 0]) {
    const tried = {
      ofSets: Float64Array.of(value, values.ofSets[at * ofSet + 1] ?? 0),
      ofShop: values.ofShop,
    }
    const fit = fitOf(set, unknowns, tried, estimates) - (weight * value * value) / 2
    if (fit > bestFit) [best, bestFit] = [value, fit]
  }
  return best
}

/** A step that made the looks less likely is halved, at most so often. */
const maxHalvings = 5

/**
 * Moves a set's own two values to where its looks and priors are most likely, those of the shop as they are; what the looks tell there.
 * Expected information takes steps that go too far where looks are at odds; those are halved until the looks are more likely.
 * @param near a set's own values are settled to so little before the whole shop is looked at again
 */
export function settled(
  set: FollowedSet,
  at: number,
  unknowns: Unknowns,
  values: Values,
  estimates: WearEstimates,
  before: Evidence | undefined,
  near: number,
): Evidence {
  const { ofSets } = values
  if (before && stillTold(before, at, values)) return before
  const [one, two] = [at * ofSet, at * ofSet + 1]
  const [weightA, weightB] = [unknowns.setWeights[one] ?? 1, unknowns.setWeights[two] ?? 1]
  const fitAt = (a: number, b: number): number =>
    fitOf(set, unknowns, { ofSets: Float64Array.of(a, b), ofShop: values.ofShop }, estimates) -
    (weightA * a * a + weightB * b * b) / 2
  if (!before) ofSets[one] = likeliest(set, at, unknowns, values, estimates)
  let fit = Number.NaN
  for (let turn = 0; ; turn += 1) {
    const told = toldBy(set, at, unknowns, values, estimates)
    const [a, b] = [ofSets[one] ?? 0, ofSets[two] ?? 0]
    const [stepA, stepB] = ownStep(told, weightA, weightB, a, b)
    const far = Math.max(Math.abs(stepA), Math.abs(stepB))
    if (far < near || turn === maxTurns) return told
    if (turn === 0) fit = fitAt(a, b)
    let share = Math.min(1, farthestStep / far)
    let next = fitAt(a + share * stepA, b + share * stepB)
    for (let halving = 0; next < fit && halving < maxHalvings; halving += 1) {
      share /= 2
      next = fitAt(a + share * stepA, b + share * stepB)
    }
    if (next <= fit) return told
    fit = next
    ofSets[one] = a + share * stepA
    ofSets[two] = b + share * stepB
  }
}

/** The step that information and slopes of a set's own two values ask for. */
function ownStep(
  { slopes, information }: Evidence,
  weightA: number,
  weightB: number,
  valueA: number,
  valueB: number,
): [number, number] {
  const a = (information[0] ?? 0) + weightA
  const b = information[1] ?? 0
  const c = (information[slopes.length + 1] ?? 0) + weightB
  const slopeA = (slopes[0] ?? 0) - weightA * valueA
  const slopeB = (slopes[1] ?? 0) - weightB * valueB
  const determinant = a * c - b * b
  return [(c * slopeA - b * slopeB) / determinant, (a * slopeB - b * slopeA) / determinant]
}
