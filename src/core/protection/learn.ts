import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { exp } from '@/core/quantity/steady'
import { layerSpots, unknownsOf, valuesAt, type LayerValues, type Unknowns } from './unknowns'
import type { Followed, SeenLook } from './followed'
import { likelihoodOfGrades } from './look'
import type { ShopRecord } from './record'
import { usedBy } from './used'

/** The most likely values of all unknowns, and how they hang together. */
export interface Learnt {
  readonly unknowns: Unknowns
  readonly middle: readonly number[]
  readonly covariance: Matrix
}

/** Clogging differs from car to car by about this, up and down. House estimates. */
const clogLevels = [
  { times: 0.4, share: 0.3 },
  { times: 1, share: 0.4 },
  { times: 2, share: 0.3 },
] as const
/** Never is everything hidden. */
const mostHidden = 0.9

/** How likely each grade of a look is with some values of the unknowns. */
function gradesOfLook({ look, wear, clog }: SeenLook, values: LayerValues, spread: number): number[] {
  const health = Math.max(0, 1 - usedBy(wear, values))
  const wide = spread * exp(values.carelessness)
  const at = (hidden: number): number[] =>
    likelihoodOfGrades(health * (1 - Math.min(mostHidden, hidden)) + values.kindness, wide)
  if (look.afterReviving) return at(0)
  const levels = clogLevels.map(({ times, share }) => at(clog * times).map((one) => one * share))
  return [0, 1, 2, 3, 4].map((grade) => levels.reduce((sum, level) => sum + (level[grade] ?? 0), 0))
}

/** Wide enough to see past the edges of a grade. */
const step = 0.08
const mostTurns = 30

/**
 * All unknowns of a shop from all its looks together: Fisher scoring for the most likely values under normal priors, and the
 * inverse of the expected information there as their covariance (Laplace). In closed form but for the five grades, so that the
 * same record always gives the same values.
 */
export function learnFrom(record: ShopRecord, layers: readonly Followed[]): Learnt {
  const open = learnWith(record, layers, unknownsOf(record))
  return learnWith(record, layers, withoutUntold(open))
}

/** So many spreads from nothing, and looks have told of it. */
const told = 4
/** What nothing tells of is held to so little. */
const heldTo = 0.01

/** Changes of driving, winters and grading that the looks do not tell of are taken for none: else they would take up any misfit. */
function withoutUntold({ unknowns, middle, covariance }: Learnt): Unknowns {
  return {
    ...unknowns,
    weights: unknowns.weights.map((weight, at) =>
      at < unknowns.firstChange || Math.abs(middle[at] ?? 0) > told * Math.sqrt(covariance.get(at, at))
        ? weight
        : 1 / (heldTo * heldTo),
    ),
  }
}

function learnWith(record: ShopRecord, layers: readonly Followed[], unknowns: Unknowns): Learnt {
  const { count, weights } = unknowns
  const middle = new Array<number>(count).fill(0)
  let information = Matrix.diag([...weights])
  for (let turn = 0; turn < mostTurns; turn += 1) {
    const slope = middle.map((value, at) => -value * (weights[at] ?? 0))
    information = Matrix.diag([...weights])
    for (const one of layers) {
      const spots = layerSpots(unknowns, one)
      for (const seen of one.looks) {
        const likely = (by: number, spot: number): number[] =>
          gradesOfLook(seen, valuesAt(middle, spots, spot, by), record.estimates.lookSpread)
        const here = likely(0, -1)
        const slopes = spots.map((_, spot) => {
          const [less, more] = [likely(-step, spot), likely(step, spot)]
          return here.map((_unused, grade) => ((more[grade] ?? 0) - (less[grade] ?? 0)) / (2 * step))
        })
        spots.forEach((a, i) => {
          const ofA = slopes[i] ?? []
          slope[a] = (slope[a] ?? 0) + (ofA[seen.look.beading] ?? 0) / (here[seen.look.beading] ?? 1)
          spots.forEach((b, j) => {
            const ofB = slopes[j] ?? []
            const said = here.reduce((sum, p, grade) => sum + ((ofA[grade] ?? 0) * (ofB[grade] ?? 0)) / p, 0)
            information.set(a, b, information.get(a, b) + said)
          })
        })
      }
    }
    const move = new CholeskyDecomposition(information).solve(Matrix.columnVector(slope))
    const far = Math.max(...move.to1DArray().map(Math.abs))
    const damped = far > 0.4 ? 0.4 / far : 1
    for (let at = 0; at < count; at += 1) middle[at] = (middle[at] ?? 0) + damped * move.get(at, 0)
    if (far < 1e-3) break
  }
  return { unknowns, middle, covariance: new CholeskyDecomposition(information).solve(Matrix.eye(count)) }
}
