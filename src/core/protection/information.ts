import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import type { Evidence } from './evidence'
import { ofSet } from './unknowns'

/**
 * Information about all unknowns of a shop, as an arrow: each set has a block of its own, coupled only with the unknowns of the
 * whole shop. Solving it is linear in the number of sets.
 */
export interface Information {
  /** A set's own block: first, mixed, second. */
  readonly own: Float64Array
  /** Between a set's two unknowns and those of the shop, two rows a set. */
  readonly between: Float64Array
  /** Among the unknowns of the shop. */
  readonly shop: Matrix
}

/** Numbers a set's own block takes. */
const ownSize = 3

export function priorInformation(setWeights: Float64Array, shopWeights: Float64Array): Information {
  const sets = setWeights.length / ofSet
  const own = new Float64Array(sets * ownSize)
  for (let set = 0; set < sets; set += 1) {
    own[set * ownSize] = setWeights[set * ofSet] ?? 0
    own[set * ownSize + 2] = setWeights[set * ofSet + 1] ?? 0
  }
  return {
    own,
    between: new Float64Array(setWeights.length * shopWeights.length),
    shop: Matrix.diag([...shopWeights]),
  }
}

/** Adds what the looks at one set tell. */
export function addInformation({ own, between, shop }: Information, set: number, told: Evidence): void {
  const { spots, information } = told
  const count = ofSet + spots.length
  const cell = (row: number, column: number): number => information[row * count + column] ?? 0
  own[set * ownSize] = (own[set * ownSize] ?? 0) + cell(0, 0)
  own[set * ownSize + 1] = (own[set * ownSize + 1] ?? 0) + cell(0, 1)
  own[set * ownSize + 2] = (own[set * ownSize + 2] ?? 0) + cell(1, 1)
  for (let place = 0; place < spots.length; place += 1) {
    const spot = spots[place] ?? 0
    for (let row = 0; row < ofSet; row += 1) {
      const at = (set * ofSet + row) * shop.rows + spot
      between[at] = (between[at] ?? 0) + cell(row, ofSet + place)
    }
    for (let other = 0; other < spots.length; other += 1) {
      const column = spots[other] ?? 0
      shop.set(spot, column, shop.get(spot, column) + cell(ofSet + place, ofSet + other))
    }
  }
}

/** The inverse of a set's own block: first, mixed, second. */
function inverseOwn(own: Float64Array, set: number): readonly [number, number, number] {
  const at = set * ownSize
  const [a, b, c] = [own[at] ?? 1, own[at + 1] ?? 0, own[at + 2] ?? 1]
  const determinant = a * c - b * b
  return [c / determinant, -b / determinant, a / determinant]
}

/** A set's own block: first, mixed, second. */
export const ownBlock = ({ own }: Pick<Covariance, 'own'>, set: number): Float64Array =>
  own.slice(set * ownSize, (set + 1) * ownSize)

/** What the sets are worth to the shop's unknowns, for every set two rows: the inverse of its block times what lies between. */
function leaning({ own, between }: Information, count: number): Float64Array {
  const rows = new Float64Array(between.length)
  for (let set = 0; set * ownSize < own.length; set += 1) {
    const [a, b, c] = inverseOwn(own, set)
    const first = set * ofSet * count
    for (let column = 0; column < count; column += 1) {
      const [one, two] = [between[first + column] ?? 0, between[first + count + column] ?? 0]
      rows[first + column] = a * one + b * two
      rows[first + count + column] = b * one + c * two
    }
  }
  return rows
}

/** Information turned round: how the unknowns of the shop hang together, and how each set's lean on them. */
export interface Covariance {
  readonly own: Float64Array
  readonly leaning: Float64Array
  /** Square, row by row. */
  readonly shop: Float64Array
  /** Unknowns of the shop. */
  readonly count: number
}

/** How two unknowns of the shop hang together. */
export const shopCovariance = ({ shop, count }: Covariance, one: number, other: number): number =>
  shop[one * count + other] ?? 0

/** Takes the sets out of the shop's information (Schur complement). */
function reduced({ between, shop }: Information, leanings: Float64Array): Matrix {
  const count = shop.rows
  const left = shop.clone()
  for (let row = 0; row * count < between.length; row += 1)
    for (let i = 0; i < count; i += 1) {
      const one = between[row * count + i] ?? 0
      if (one === 0) continue
      for (let j = i; j < count; j += 1)
        left.set(i, j, left.get(i, j) - one * (leanings[row * count + j] ?? 0))
    }
  // Rounding would leave both halves a last digit apart.
  for (let i = 0; i < count; i += 1) for (let j = 0; j < i; j += 1) left.set(i, j, left.get(j, i))
  return left
}

/** The step that information and slopes ask for, laid out like the slopes. */
export function solve(
  information: Information,
  slopeOfSets: Float64Array,
  slopeOfShop: Float64Array,
): { readonly ofSets: Float64Array; readonly ofShop: Float64Array } {
  const count = information.shop.rows
  const leanings = leaning(information, count)
  const right = Float64Array.from(slopeOfShop)
  slopeOfSets.forEach((slope, row) => {
    for (let i = 0; i < count; i += 1) right[i] = (right[i] ?? 0) - (leanings[row * count + i] ?? 0) * slope
  })
  const ofShop = Float64Array.from(
    new CholeskyDecomposition(reduced(information, leanings)).solve(Matrix.columnVector(right)).to1DArray(),
  )
  const ofSets = new Float64Array(slopeOfSets.length)
  for (let set = 0; set * ofSet < slopeOfSets.length; set += 1) {
    const [a, b, c] = inverseOwn(information.own, set)
    const [one, two] = [slopeOfSets[set * ofSet] ?? 0, slopeOfSets[set * ofSet + 1] ?? 0]
    const own = [a * one + b * two, b * one + c * two]
    for (let row = 0; row < ofSet; row += 1) {
      let step = own[row] ?? 0
      for (let i = 0; i < count; i += 1)
        step -= (leanings[(set * ofSet + row) * count + i] ?? 0) * (ofShop[i] ?? 0)
      ofSets[set * ofSet + row] = step
    }
  }
  return { ofSets, ofShop }
}

export function covarianceOf(information: Information): Covariance {
  const count = information.shop.rows
  const leanings = leaning(information, count)
  const left = new CholeskyDecomposition(reduced(information, leanings))
  const shop = Float64Array.from(left.solve(Matrix.eye(count)).to1DArray())
  return { own: information.own, leaning: leanings, shop, count }
}

/** How one of a set's unknowns hangs together with one of the shop's, by what it leans on; turned round in sign. */
function leansOn({ leaning: leanings, shop, count }: Covariance, row: number, column: number): number {
  let sum = 0
  for (let i = 0; i < count; i += 1) {
    const lean = leanings[row * count + i] ?? 0
    if (lean !== 0) sum += lean * (shop[i * count + column] ?? 0)
  }
  return sum
}

/** What two unknowns of a set share by leaning on the same of the shop. */
function sharedLean(covariance: Covariance, one: number, other: number): number {
  const { leaning: leanings, count } = covariance
  let sum = 0
  for (let i = 0; i < count; i += 1) {
    const lean = leanings[other * count + i] ?? 0
    if (lean !== 0) sum += lean * leansOn(covariance, one, i)
  }
  return sum
}

/** The variance of one unknown of a set. */
export function ownVariance(covariance: Covariance, row: number): number {
  const [a, , c] = inverseOwn(covariance.own, Math.floor(row / ofSet))
  return (row % ofSet === 0 ? a : c) + sharedLean(covariance, row, row)
}

/**
 * How a set's two unknowns and some of the shop's hang together, in this order.
 * @param spots unknowns of the shop
 */
export function covarianceAt(covariance: Covariance, set: number, spots: readonly number[]): number[][] {
  const [a, b, c] = inverseOwn(covariance.own, set)
  const [first, second] = [set * ofSet, set * ofSet + 1]
  const mixed = b + sharedLean(covariance, first, second)
  const ofFirst = spots.map((spot) => -leansOn(covariance, first, spot))
  const ofSecond = spots.map((spot) => -leansOn(covariance, second, spot))
  return [
    [a + sharedLean(covariance, first, first), mixed, ...ofFirst],
    [mixed, c + sharedLean(covariance, second, second), ...ofSecond],
    ...spots.map((spot, place) => [
      ofFirst[place] ?? 0,
      ofSecond[place] ?? 0,
      ...spots.map((other) => shopCovariance(covariance, spot, other)),
    ]),
  ]
}
