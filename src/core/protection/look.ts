import { exp } from '@/core/quantity/portableMath'

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

/** How likely each grade is, and how that grows with what shows, with the share used, and with the logarithm of the spread. */
export interface Grades {
  readonly likely: Float64Array
  readonly byShown: Float64Array
  readonly byUsed: Float64Array
  readonly bySpread: Float64Array
}

export const noGrades = (): Grades => ({
  likely: new Float64Array(gradeCount),
  byShown: new Float64Array(gradeCount),
  byUsed: new Float64Array(gradeCount),
  bySpread: new Float64Array(gradeCount),
})

const edgeCount = gradeCount - 1
/** Share of looks below each edge, and how it grows; laid out like the grades. */
const atEdges = { below: new Float64Array(edgeCount), byShown: new Float64Array(edgeCount), byUsed: new Float64Array(edgeCount), bySpread: new Float64Array(edgeCount) } // prettier-ignore

/** What shows of a layer in one of the ways it may be clogged. */
export interface Showing {
  /** Health that is not clogged, 0 to 1. */
  readonly shown: number
  /** How likely this way is. */
  readonly share: number
  /** How what shows grows with the share used. */
  readonly slope: number
}

function addEdges({ shown, share, slope }: Showing, steepness: number, nextEdge: number): void {
  // The edges stand evenly, so one exponential does for all of them.
  let above = exp((shown - firstEdge) * steepness)
  for (let edge = 0; edge < edgeCount; edge += 1) {
    const below = 1 / (1 + above)
    const steep = -share * steepness * below * (1 - below)
    atEdges.below[edge] = (atEdges.below[edge] ?? 0) + share * below
    atEdges.byShown[edge] = (atEdges.byShown[edge] ?? 0) + steep
    atEdges.byUsed[edge] = (atEdges.byUsed[edge] ?? 0) + steep * slope
    atEdges.bySpread[edge] = (atEdges.bySpread[edge] ?? 0) + (firstEdge + edge * edgeStep - shown) * steep
    above *= nextEdge
  }
}

/**
 * How likely each grade of a look is, from flat to like new.
 * @param showing ways in which the layer may show, their shares adding up to 1
 * @param spread of a look, as a share of health
 * @param grades written over
 */
export function gradesOf(showing: readonly Showing[], spread: number, grades: Grades): void {
  const steepness = likeNormal / spread
  const nextEdge = nextEdgeFactor(steepness)
  for (let edge = 0; edge < edgeCount; edge += 1)
    atEdges.below[edge] = atEdges.byShown[edge] = atEdges.byUsed[edge] = atEdges.bySpread[edge] = 0
  for (const one of showing) addEdges(one, steepness, nextEdge)
  let below = 0
  let byShown = 0
  let byUsed = 0
  let bySpread = 0
  for (let grade = 0; grade < gradeCount; grade += 1) {
    // Everything is below the last grade's end, whatever shows.
    const isLast = grade === edgeCount
    const nextBelow = isLast ? 1 : (atEdges.below[grade] ?? 0)
    const nextByShown = isLast ? 0 : (atEdges.byShown[grade] ?? 0)
    const nextByUsed = isLast ? 0 : (atEdges.byUsed[grade] ?? 0)
    const nextBySpread = isLast ? 0 : (atEdges.bySpread[grade] ?? 0)
    grades.likely[grade] = Math.max(0, nextBelow - below) * (1 - slip) + slip / gradeCount
    grades.byShown[grade] = (nextByShown - byShown) * (1 - slip)
    grades.byUsed[grade] = (nextByUsed - byUsed) * (1 - slip)
    grades.bySpread[grade] = (nextBySpread - bySpread) * (1 - slip)
    below = nextBelow
    byShown = nextByShown
    byUsed = nextByUsed
    bySpread = nextBySpread
  }
}

/** How likely one grade is; as by `gradesOf`, and much quicker. */
export function likelihoodOf(grade: number, showing: readonly Showing[], spread: number): number {
  const steepness = likeNormal / spread
  const nextEdge = nextEdgeFactor(steepness)
  let likely = 0
  for (const { shown, share } of showing) {
    const above = exp((shown - firstEdge - (grade - 1) * edgeStep) * steepness)
    const from = grade === 0 ? 0 : 1 / (1 + above)
    const to = grade === edgeCount ? 1 : 1 / (1 + above * nextEdge)
    likely += share * Math.max(0, to - from)
  }
  return likely * (1 - slip) + slip / gradeCount
}
