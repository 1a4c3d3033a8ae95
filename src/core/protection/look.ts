import { exp } from '@/core/quantity/steady'

/**
 * Share of a normal distribution below a value in spreads. Abramowitz and Stegun 7.1.26, absolute error below 1.5e-7.
 * @param fall the density's exponential, exp(-value² / 2)
 */
function belowBy(value: number, fall: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(value)) / Math.SQRT2)
  const series =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  return value >= 0 ? 1 - 0.5 * series * fall : 0.5 * series * fall
}

export const normalBelow = (value: number): number => belowBy(value, exp((-value * value) / 2))

/** Grades a person can tell, from flat to like new. */
export const gradeCount = 5
/** Somebody always sees something else. */
const slip = 1e-8
/**
 * A logistic distribution of this steepness lies within 0.0095 of a normal one. Its tails are longer: a look that is far off moves the
 * state as far as any look can, and no look is thrown away, so that a better look never makes anything due sooner.
 */
const likeNormal = 1.702

/** The edges between the grades, as shares of health: the first, and from one to the next. */
const edgeStep = 1 / (gradeCount - 1)
const firstEdge = edgeStep / 2

let lastSteepness = 0
let lastFactor = 1
/** What the odds fall by from one edge to the next; most looks of a shop scatter alike. */
function nextEdgeFactor(steepness: number): number {
  if (steepness !== lastSteepness) {
    lastSteepness = steepness
    lastFactor = exp(-edgeStep * steepness)
  }
  return lastFactor
}

/** How likely each grade is, and how that grows with what shows and with the logarithm of the spread. */
export interface Grades {
  readonly likely: Float64Array
  readonly byShown: Float64Array
  /** As by what shows, times what the caller weighs it with. */
  readonly byUsed: Float64Array
  readonly bySpread: Float64Array
}

export const noGrades = (): Grades => ({
  likely: new Float64Array(gradeCount),
  byShown: new Float64Array(gradeCount),
  byUsed: new Float64Array(gradeCount),
  bySpread: new Float64Array(gradeCount),
})

/**
 * Adds a share of how likely each grade of a look is, from flat to like new, where so much of a layer shows.
 * @param shown health that is not clogged, 0 to 1
 * @param spread of a look, as a share of health
 * @param slope how what shows grows with the share used
 */
export function addGrades(grades: Grades, shown: number, spread: number, share: number, slope: number): void {
  const { likely, byShown, byUsed, bySpread } = grades
  const steepness = likeNormal / spread
  // The edges stand evenly, so one exponential does for all of them.
  let above = exp((shown - firstEdge) * steepness)
  const nextEdge = nextEdgeFactor(steepness)
  const whole = share * (1 - slip)
  const least = (share * slip) / gradeCount
  let last = 0
  let lastSteep = 0
  let lastWide = 0
  for (let grade = 0; grade < gradeCount; grade += 1) {
    let below = 1
    let steep = 0
    let wide = 0
    if (grade < gradeCount - 1) {
      below = 1 / (1 + above)
      steep = -steepness * below * (1 - below)
      wide = (firstEdge + grade * edgeStep - shown) * steep
      above *= nextEdge
    }
    const moved = whole * (steep - lastSteep)
    likely[grade] = (likely[grade] ?? 0) + Math.max(0, below - last) * whole + least
    byShown[grade] = (byShown[grade] ?? 0) + moved
    byUsed[grade] = (byUsed[grade] ?? 0) + moved * slope
    bySpread[grade] = (bySpread[grade] ?? 0) + whole * (wide - lastWide)
    last = below
    lastSteep = steep
    lastWide = wide
  }
}
