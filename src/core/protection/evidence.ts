import type { FollowedSet } from './followed'
import { gradeCount, noGrades } from './look'
import type { WearEstimates } from './record'
import { gradingOf, seenGrades, seenLikelihood, type Grading } from './seenGrades'
import type { Sight } from './sights'
import { layerValues, ofSet, ofShop, type Unknowns, type Values } from './unknowns'
import { usedBy, usedSlopes, wearingOf, type Wearing } from './used'
import { log } from '@/core/quantity/portableMath'

/**
 * What the looks at one set tell: slopes of their likelihood and the expected information, over the set's own two unknowns and
 * then those of the shop it touches, its products first.
 */
export interface Evidence {
  /** Where the touched unknowns of the shop stand. */
  readonly spots: readonly number[]
  readonly slopes: Float64Array
  /** Square, row by row. */
  readonly information: Float64Array
  /** The values at which it was gathered. */
  readonly at: Float64Array
}

/** Where values have moved by less, what a set's looks tell stays as it is. */
const unmoved = 3e-4

/** Whether a set's looks tell the same with other values. */
export function stillTold({ at, spots }: Evidence, set: number, values: Values): boolean {
  const isNear = (value: number | undefined, place: number): boolean =>
    Math.abs((value ?? 0) - (at[place] ?? 0)) < unmoved
  for (let row = 0; row < ofSet; row += 1) if (!isNear(values.ofSets[set * ofSet + row], row)) return false
  return spots.every((spot, place) => isNear(values.ofShop[spot], ofSet + place))
}

/** The values a set's looks depend on, its own first. */
function valuesOf(spots: readonly number[], set: number, values: Values): Float64Array {
  const list = new Float64Array(ofSet + spots.length)
  for (let row = 0; row < ofSet; row += 1) list[row] = values.ofSets[set * ofSet + row] ?? 0
  spots.forEach((spot, at) => (list[ofSet + at] = values.ofShop[spot] ?? 0))
  return list
}

const graded = noGrades()

/** Values of one layer that looks tell of: sooner, changed, harsher, kindness, carelessness. */
const valueCount = 5
/** Slopes of the looks at one product by those values, and the expected information among them, its upper half row by row. */
const slopes = new Float64Array(valueCount)
const among = new Float64Array((valueCount * (valueCount + 1)) / 2)

const add = (sums: Float64Array, at: number, value: number): void => {
  sums[at] = (sums[at] ?? 0) + value
}

/** Adds what one thing that was seen tells. */
function addSight(
  { wear, clog, grade, wider, news }: Sight,
  wearing: Wearing,
  grading: Grading,
  lookSpread: number,
): void {
  const { used, sooner, changed, harsher } = usedSlopes(wear, wearing)
  seenGrades(clog, used, grading, lookSpread * wider, graded)
  // Information among share used, kindness and carelessness, over all grades.
  let [uu, uk, uc, kk, kc, cc] = [0, 0, 0, 0, 0, 0]
  for (let at = 0; at < gradeCount; at += 1) {
    const weight = news / (graded.likely[at] ?? 1)
    const u = graded.byUsed[at] ?? 0
    const k = graded.byShown[at] ?? 0
    const c = graded.bySpread[at] ?? 0
    uu += weight * u * u
    uk += weight * u * k
    uc += weight * u * c
    kk += weight * k * k
    kc += weight * k * c
    cc += weight * c * c
  }
  const weight = news / (graded.likely[grade] ?? 1)
  const u = weight * (graded.byUsed[grade] ?? 0)
  add(slopes, 0, sooner * u)
  add(slopes, 1, changed * u)
  add(slopes, 2, harsher * u)
  add(slopes, 3, weight * (graded.byShown[grade] ?? 0))
  add(slopes, 4, weight * (graded.bySpread[grade] ?? 0))
  add(among, 0, sooner * sooner * uu)
  add(among, 1, sooner * changed * uu)
  add(among, 2, sooner * harsher * uu)
  add(among, 3, sooner * uk)
  add(among, 4, sooner * uc)
  add(among, 5, changed * changed * uu)
  add(among, 6, changed * harsher * uu)
  add(among, 7, changed * uk)
  add(among, 8, changed * uc)
  add(among, 9, harsher * harsher * uu)
  add(among, 10, harsher * uk)
  add(among, 11, harsher * uc)
  add(among, 12, kk)
  add(among, 13, kc)
  add(among, 14, cc)
}

/** Unknowns that the values of a layer come from: sooner and changed of the set, its product, and the shop's three. */
const unknownCount = ofSet + 1 + ofShop
/** Which value each stands for; a product that lasts longer makes it less soon. */
const valueOf = [0, 1, 0, 2, 3, 4] as const
const signs = [1, 1, -1, 1, 1, 1] as const

/** Where the information among two values stands. */
const cellOf = (one: number, other: number): number => {
  const [row, column] = one < other ? [one, other] : [other, one]
  return row * valueCount - (row * (row - 1)) / 2 + column - row
}

/** Adds what was gathered at one product to what the set tells. */
function addProduct(told: Evidence, productPlace: number): void {
  const count = told.slopes.length
  const placeOf = (unknown: number): number =>
    unknown < ofSet ? unknown : unknown === ofSet ? productPlace : count - unknownCount + unknown
  for (let i = 0; i < unknownCount; i += 1) {
    const [place, value, sign] = [placeOf(i), valueOf[i] ?? 0, signs[i] ?? 1]
    told.slopes[place] = (told.slopes[place] ?? 0) + sign * (slopes[value] ?? 0)
    for (let j = 0; j < unknownCount; j += 1) {
      const cell = place * count + placeOf(j)
      told.information[cell] =
        (told.information[cell] ?? 0) + sign * (signs[j] ?? 1) * (among[cellOf(value, valueOf[j] ?? 0)] ?? 0)
    }
  }
}

/** Gathers what a set's looks tell, at some values of all unknowns. */
export function toldBy(
  { seen }: FollowedSet,
  set: number,
  unknowns: Unknowns,
  values: Values,
  estimates: WearEstimates,
): Evidence {
  const products = unknowns.productAt.size
  const spots = seen.map(({ productId }) => unknowns.productAt.get(productId) ?? 0)
  for (let shop = 0; shop < ofShop; shop += 1) spots.push(products + shop)
  const count = ofSet + spots.length
  const told = {
    spots,
    slopes: new Float64Array(count),
    information: new Float64Array(count * count),
    at: valuesOf(spots, set, values),
  }
  seen.forEach(({ sights }, place) => {
    const here = layerValues(values, set, spots[place] ?? 0, products)
    const [wearing, grading] = [wearingOf(here), gradingOf(here)]
    slopes.fill(0)
    among.fill(0)
    for (const sight of sights) addSight(sight, wearing, grading, estimates.lookSpread)
    addProduct(told, ofSet + place)
  })
  return told
}

/**
 * Logarithm of how likely a set's looks are.
 * @param values with the set's own two alone
 */
export function fitOf(
  { seen }: FollowedSet,
  unknowns: Unknowns,
  values: Values,
  estimates: WearEstimates,
): number {
  const products = unknowns.productAt.size
  let fit = 0
  for (const { productId, sights } of seen) {
    const here = layerValues(values, 0, unknowns.productAt.get(productId) ?? 0, products)
    const [wearing, grading] = [wearingOf(here), gradingOf(here)]
    for (const { wear, clog, grade, wider, news } of sights)
      fit +=
        news * log(seenLikelihood(grade, clog, usedBy(wear, wearing), grading, estimates.lookSpread * wider))
  }
  return fit
}
