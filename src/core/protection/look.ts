import { exp } from '@/core/quantity/steady'

/**
 * Abramowitz and Stegun 7.1.26, absolute error below 1.5e-7: the share of a normal distribution below a value in spreads.
 */
export function normalBelow(value: number): number {
  const x = Math.abs(value) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const series =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  const half = 0.5 * series * exp(-x * x)
  return value >= 0 ? 1 - half : half
}

/** Grades a person can tell. */
const grades = 4
/** Somebody always sees something else. */
const slip = 0.002

/** The edges between the grades, as shares of health. */
const edges = [0.5, 1.5, 2.5, 3.5].map((edge) => edge / grades)

/**
 * How likely each grade of beading is, from flat to like new, where so much of a layer shows.
 * @param shown health that is not clogged, 0 to 1
 * @param spread of a look, as a share of health
 */
export function likelihoodOfGrades(shown: number, spread: number): number[] {
  const below = edges.map((edge) => normalBelow((edge - shown) / spread))
  return [...below, 1].map(
    (upTo, at) => Math.max(0, upTo - (below[at - 1] ?? 0)) * (1 - slip) + slip / (grades + 1),
  )
}
