import { exp } from '@/core/quantity/portableMath'
import { gradesOf, likelihoodOf, type Grades, type Showing } from './look'
import type { LookGrade } from './record'
import type { LayerValues } from './unknowns'

/** Clogging differs from car to car by about this, up and down. House estimates. */
const clogLevels = [
  { times: 0.4, share: 0.3 },
  { times: 1, share: 0.4 },
  { times: 2, share: 0.3 },
] as const
/** Never is everything hidden. */
const maxHidden = 0.9
/** Near its end a layer is told apart ever less; so rounded is the floor, share of health. */
const floorRound = 0.045

/** Health that is left, 0 to 1, rounded at its floor so that more wear always means a little less. */
export function healthLeft(used: number): number {
  const left = 1 - used
  return (left + Math.sqrt(left * left + 4 * floorRound * floorRound)) / 2
}

/** How health grows with the share used. */
export function healthSlope(used: number): number {
  const left = 1 - used
  return -(1 + left / Math.sqrt(left * left + 4 * floorRound * floorRound)) / 2
}

/** How somebody grades. */
export interface Grading {
  /** Added to what shows, share of health. */
  readonly kindness: number
  /** How much wider looks scatter, times. */
  readonly wider: number
}

export const gradingOf = ({ kindness, carelessness }: LayerValues): Grading => ({
  kindness,
  wider: exp(carelessness),
})

interface Mutable {
  shown: number
  share: number
  slope: number
}
/** Ways in which a layer may show, written over at each look. */
const ways: readonly Mutable[] = clogLevels.map(({ share }) => ({ shown: 0, share, slope: 0 }))
const clear: readonly [Mutable] = [{ shown: 0, share: 1, slope: 0 }]

/**
 * The ways in which a layer may show at a look.
 * @param clog what film and minerals hide, as the house reckons; none after a reviving wash
 * @param used share of the layer's life
 * @returns valid until the next call
 */
function showingOf(clog: number, used: number, kindness: number): readonly Showing[] {
  const health = healthLeft(used)
  const slope = healthSlope(used)
  if (clog === 0) {
    clear[0].shown = health + kindness
    clear[0].slope = slope
    return clear
  }
  for (let level = 0; level < ways.length; level += 1) {
    const free = 1 - Math.min(maxHidden, clog * (clogLevels[level] ?? clogLevels[0]).times)
    const way = ways[level] ?? clear[0]
    way.shown = health * free + kindness
    way.slope = slope * free
  }
  return ways
}

/**
 * How likely each grade of a look is, and how that grows with the share used, with kindness (as by what shows) and with carelessness.
 * @param used share of the layer's life
 * @param spread of a look of this kind, as a share of health
 * @param grades written over
 */
export function seenGrades(
  clog: number,
  used: number,
  { kindness, wider }: Grading,
  spread: number,
  grades: Grades,
): void {
  gradesOf(showingOf(clog, used, kindness), spread * wider, grades)
}

/** How likely the grade of a look is. */
export function seenLikelihood(
  grade: LookGrade,
  clog: number,
  used: number,
  { kindness, wider }: Grading,
  spread: number,
): number {
  return likelihoodOf(grade, showingOf(clog, used, kindness), spread * wider)
}
