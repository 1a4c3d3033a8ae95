import type { FollowedSet, SeenLook } from './followed'
import { gradeCount, noGrades } from './look'
import type { LookGrade, WearEstimates } from './record'
import { gradingOf, seenGrades, type Grading } from './seenGrades'
import { layerValues, ofSet, ofShop, type Unknowns, type Values } from './unknowns'
import { usedBy, usedSlopes, wearingOf, type Wearing } from './used'
import { log } from '@/core/quantity/steady'

/**
 * What the looks at one set tell: slopes of their likelihood and the expected information, over the set's own two unknowns and
 * then those of the shop it touches, its products first.
 */
export interface Told {
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
export function stillTold({ at, spots }: Told, set: number, values: Values): boolean {
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
/** Information among share used, kindness and carelessness. */
const said = new Float64Array(9)
const score = new Float64Array(3)

/** Turns the graded look into slopes and information of its three bases. */
function tell(grade: LookGrade, news: number): void {
  const { likely, byUsed, byShown, bySpread } = graded
  said.fill(0)
  for (let at = 0; at < gradeCount; at += 1) {
    const one = news / (likely[at] ?? 1)
    const u = byUsed[at] ?? 0
    const k = byShown[at] ?? 0
    const c = bySpread[at] ?? 0
    said[0] = (said[0] ?? 0) + one * u * u
    said[1] = (said[1] ?? 0) + one * u * k
    said[2] = (said[2] ?? 0) + one * u * c
    said[4] = (said[4] ?? 0) + one * k * k
    said[5] = (said[5] ?? 0) + one * k * c
    said[8] = (said[8] ?? 0) + one * c * c
  }
  said[3] = said[1] ?? 0
  said[6] = said[2] ?? 0
  said[7] = said[5] ?? 0
  const one = news / (likely[grade] ?? 1)
  score[0] = one * (byUsed[grade] ?? 0)
  score[1] = one * (byShown[grade] ?? 0)
  score[2] = one * (bySpread[grade] ?? 0)
}

/** Unknowns of one look: sooner and changed of the set, its product, winters, kindness, carelessness; and the base each goes by. */
const bases = [0, 0, 0, 0, 1, 2] as const
const places = Int32Array.from([0, 1, 0, 0, 0, 0])
const times = Float64Array.from([0, 0, 0, 0, 1, 1])

function addTold({ slopes, information }: Told): void {
  const count = slopes.length
  for (let i = 0; i < bases.length; i += 1) {
    const place = places[i] ?? 0
    const base = bases[i] ?? 0
    const factor = times[i] ?? 0
    slopes[place] = (slopes[place] ?? 0) + factor * (score[base] ?? 0)
    for (let j = 0; j < bases.length; j += 1) {
      const cell = place * count + (places[j] ?? 0)
      information[cell] =
        (information[cell] ?? 0) + factor * (times[j] ?? 0) * (said[base * 3 + (bases[j] ?? 0)] ?? 0)
    }
  }
}

const nothingSensed = { grade: 0, wider: 1, news: 0 } as const

function addSeen(into: Told, seen: SeenLook, wearing: Wearing, grading: Grading, lookSpread: number): void {
  const used = usedSlopes(seen.wear, wearing)
  times[0] = used.sooner
  times[1] = used.changed
  times[2] = -used.sooner
  times[3] = used.harsher
  for (let sense = 0; sense < seen.senses.length; sense += 1) {
    const { grade, wider, news } = seen.senses[sense] ?? nothingSensed
    seenGrades(seen, used.used, grading, lookSpread * wider, graded)
    tell(grade, news)
    addTold(into)
  }
}

/** Gathers what a set's looks tell, at some values of all unknowns. */
export function toldBy(
  { layers }: FollowedSet,
  set: number,
  unknowns: Unknowns,
  values: Values,
  estimates: WearEstimates,
): Told {
  const products = unknowns.productAt.size
  const looked = layers.filter(({ looks }) => looks.length > 0)
  const own = [...new Set(looked.map(({ layer }) => unknowns.productAt.get(layer.productId) ?? 0))]
  const spots = [...own, ...Array.from({ length: ofShop }, (_, at) => products + at)]
  const count = ofSet + spots.length
  const told = {
    spots,
    slopes: new Float64Array(count),
    information: new Float64Array(count * count),
    at: valuesOf(spots, set, values),
  }
  for (const { layer, looks } of looked) {
    const product = unknowns.productAt.get(layer.productId) ?? 0
    const here = layerValues(values, set, product, products)
    const [wearing, grading] = [wearingOf(here), gradingOf(here)]
    places[2] = ofSet + own.indexOf(product)
    for (let shop = 0; shop < ofShop; shop += 1) places[3 + shop] = count - ofShop + shop
    for (const seen of looks) addSeen(told, seen, wearing, grading, estimates.lookSpread)
  }
  return told
}

/**
 * Logarithm of how likely a set's looks are.
 * @param values with the set's own two alone
 */
export function fitOf(
  { layers }: FollowedSet,
  unknowns: Unknowns,
  values: Values,
  estimates: WearEstimates,
): number {
  const products = unknowns.productAt.size
  let fit = 0
  for (const { layer, looks } of layers) {
    if (looks.length === 0) continue
    const here = layerValues(values, 0, unknowns.productAt.get(layer.productId) ?? 0, products)
    const [wearing, grading] = [wearingOf(here), gradingOf(here)]
    for (const seen of looks)
      for (const { grade, wider, news } of seen.senses) {
        seenGrades(seen, usedBy(seen.wear, wearing), grading, estimates.lookSpread * wider, graded)
        fit += news * log(graded.likely[grade] ?? 1)
      }
  }
  return fit
}
