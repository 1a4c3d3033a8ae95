import { exp } from '@/core/quantity/steady'
import { addGrades, type Grades } from './look'
import type { SeenLook } from './followed'
import type { LayerValues } from './unknowns'

/** Clogging differs from car to car by about this, up and down. House estimates. */
const clogLevels = [
  { times: 0.4, share: 0.3 },
  { times: 1, share: 0.4 },
  { times: 2, share: 0.3 },
] as const
/** Never is everything hidden. */
const mostHidden = 0.9
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

/**
 * How likely each grade of a look is, and how that grows with the share used, with kindness (as by what shows) and with carelessness.
 * @param used share of the layer's life
 * @param spread of a look of this kind, as a share of health
 * @param grades written over
 */
export function seenGrades(
  { look, clog }: SeenLook,
  used: number,
  { kindness, wider }: Grading,
  spread: number,
  grades: Grades,
): void {
  const health = healthLeft(used)
  const slope = healthSlope(used)
  const wide = spread * wider
  grades.likely.fill(0)
  grades.byShown.fill(0)
  grades.byUsed.fill(0)
  grades.bySpread.fill(0)
  if (look.afterReviving) addGrades(grades, health + kindness, wide, 1, slope)
  else
    for (let level = 0; level < clogLevels.length; level += 1) {
      const { times, share } = clogLevels[level] ?? clogLevels[0]
      const free = 1 - Math.min(mostHidden, clog * times)
      addGrades(grades, health * free + kindness, wide, share, slope * free)
    }
}
