import {
  addInformation,
  covarianceOf,
  ownVariance,
  priorInformation,
  shopCovariance,
  solve,
} from './information'
import type { Covariance, Information } from './information'
import { ofSet, unknownsOf, type Unknowns, type Values } from './unknowns'
import type { FollowedSet } from './followed'
import type { WearEstimates, WornProduct } from './record'
import { farthest, Stride } from './stride'
import { settled } from './settle'
import type { Evidence } from './evidence'

/** The most likely values of all unknowns, and how they hang together. */
export interface Learnt {
  readonly unknowns: Unknowns
  readonly values: Values
  readonly covariance: Covariance
  readonly estimates: WearEstimates
}

const maxTurns = 30
/** Values are found to so little, natural logarithm; less well where they only tell what is worth learning. */
const nearEnough = { open: { sets: 0.1, shop: 0.1 }, held: { sets: 0.004, shop: 0.001 } } as const
/** In a large shop no set hangs on the others by more: so many times less well. */
const easyNear = 6

/** What the looks at each set told last. */
export type EvidenceBefore = ReadonlyMap<FollowedSet, Evidence>

interface Gathered {
  readonly slopeOfSets: Float64Array
  readonly slopeOfShop: Float64Array
  readonly information: Information
  readonly told: EvidenceBefore
}

/** Slopes and expected information of all looks and priors together; settles each set's own values on the way. */
function gather(
  sets: readonly FollowedSet[],
  unknowns: Unknowns,
  values: Values,
  estimates: WearEstimates,
  before: EvidenceBefore,
  near: number,
): Gathered {
  const { setWeights, shopWeights } = unknowns
  const slopeOfSets = new Float64Array(setWeights.length)
  const slopeOfShop = shopWeights.map((weight, at) => -weight * (values.ofShop[at] ?? 0))
  const information = priorInformation(setWeights, shopWeights)
  const told = new Map<FollowedSet, Evidence>()
  sets.forEach((set, at) => {
    const one = settled(set, at, unknowns, values, estimates, before.get(set), near)
    told.set(set, one)
    addInformation(information, at, one)
    for (let row = at * ofSet; row < (at + 1) * ofSet; row += 1)
      slopeOfSets[row] =
        (one.slopes[row - at * ofSet] ?? 0) - (setWeights[row] ?? 0) * (values.ofSets[row] ?? 0)
    one.spots.forEach((spot, place) => {
      slopeOfShop[spot] = (slopeOfShop[spot] ?? 0) + (one.slopes[ofSet + place] ?? 0)
    })
  })
  return { slopeOfSets, slopeOfShop, information, told }
}

/** With what the looks at each set told last. */
export interface LearntWith extends Learnt {
  readonly told: EvidenceBefore
}

function learnWith(
  sets: readonly FollowedSet[],
  unknowns: Unknowns,
  estimates: WearEstimates,
  start: Values,
  before: EvidenceBefore,
  near: { readonly sets: number; readonly shop: number },
): LearntWith {
  const values = { ofSets: Float64Array.from(start.ofSets), ofShop: Float64Array.from(start.ofShop) }
  let told = before

  const stride = new Stride(sets.length)
  for (let turn = 0; ; turn += 1) {
    const gathered = gather(sets, unknowns, values, estimates, told, near.sets / 2)
    told = gathered.told
    const step = solve(gathered.information, gathered.slopeOfSets, gathered.slopeOfShop)
    const isNear = farthest(step.ofSets) < near.sets && farthest(step.ofShop) < near.shop
    if (isNear || turn === maxTurns)
      return { unknowns, values, covariance: covarianceOf(gathered.information), told, estimates }
    stride.move(values, step)
  }
}

/** So many spreads from nothing, and looks have told of it. */
const told = 4
/** Fewer looks than this say nothing of how a shop grades and how hard its winters are: any misfit would pass for it. */
const fewestLooks = 20
/** What nothing tells of is held to so little. */
const heldTo = 0.01

/** Changes of driving, winters and grading that the looks do not tell of are taken for none: else they would take up any misfit. */
function withoutUntold({ unknowns, values, covariance }: Learnt, looks: number): Unknowns {
  const held = 1 / (heldTo * heldTo)
  const products = unknowns.productAt.size
  const isTold = (value: number, variance: number): boolean => Math.abs(value) > told * Math.sqrt(variance)
  return {
    ...unknowns,
    setWeights: unknowns.setWeights.map((weight, at) => {
      if (at % ofSet === 0) return weight
      return isTold(values.ofSets[at] ?? 0, ownVariance(covariance, at)) ? weight : held
    }),
    shopWeights: unknowns.shopWeights.map((weight, at) =>
      at < products ||
      (looks >= fewestLooks && isTold(values.ofShop[at] ?? 0, shopCovariance(covariance, at, at)))
        ? weight
        : held,
    ),
  }
}

/** Values found before, to start from; the sets may have changed since. */
export interface Start {
  readonly open: LearntWith
  readonly held: LearntWith
}

function startOf(unknowns: Unknowns, before: Learnt | undefined): Values {
  const ofSets = new Float64Array(unknowns.setWeights.length)
  const ofShop = new Float64Array(unknowns.shopWeights.length)
  if (!before) return { ofSets, ofShop }
  for (const [id, at] of unknowns.setAt) {
    const old = before.unknowns.setAt.get(id)
    if (old !== undefined)
      ofSets.set(before.values.ofSets.subarray(old * ofSet, (old + 1) * ofSet), at * ofSet)
  }
  for (const [id, at] of unknowns.productAt) {
    const old = before.unknowns.productAt.get(id)
    if (old !== undefined) ofShop[at] = before.values.ofShop[old] ?? 0
  }
  const [from, to] = [before.unknowns.productAt.size, unknowns.productAt.size]
  ofShop.set(before.values.ofShop.subarray(from), to)
  return { ofSets, ofShop }
}

/** Values to start from where what is not told of is held to nothing. */
function heldFrom({ ofSets, ofShop }: Values, { setWeights, shopWeights }: Unknowns): Values {
  const isHeld = (weight: number | undefined): boolean => weight === 1 / (heldTo * heldTo)
  return {
    ofSets: ofSets.map((value, at) => (isHeld(setWeights[at]) ? 0 : value)),
    ofShop: ofShop.map((value, at) => (isHeld(shopWeights[at]) ? 0 : value)),
  }
}

/** What a large shop is like is found from so many of its sets first. */
const fewSets = 200

/** Some of the sets, evenly from all of them. */
const someOf = (sets: readonly FollowedSet[]): FollowedSet[] => {
  const every = Math.ceil(sets.length / fewSets)
  return sets.filter((_, at) => at % every === 0)
}

/**
 * All unknowns of a shop from all its looks together: Fisher scoring for the most likely values under normal priors, and the
 * inverse of the expected information there as their covariance (Laplace). In closed form but for the five grades, so that the
 * same record always gives the same values; a start only makes it quicker.
 */
export function learnFrom(
  sets: readonly FollowedSet[],
  products: readonly WornProduct[],
  estimates: WearEstimates,
  start?: Start,
): Start {
  const unknowns = unknownsOf(
    sets.map(({ record }) => record.set.id),
    products,
    estimates,
  )
  const isLarge = sets.length > 2 * fewSets
  const known = start ?? (isLarge ? learnFrom(someOf(sets), products, estimates) : undefined)
  const untold: EvidenceBefore = new Map()
  const open = learnWith(
    sets,
    unknowns,
    estimates,
    startOf(unknowns, known?.open),
    known?.open.told ?? untold,
    nearEnough.open,
  )
  const looks = sets.reduce((sum, { record }) => sum + record.looks.length, 0)
  const left = withoutUntold(open, looks)
  const own = heldFrom(open.values, left)
  // A part of the shop knows of its products and ways; of the other sets only what was just found.
  const begin = start
    ? startOf(left, start.held)
    : known
      ? { ...own, ofShop: startOf(left, known.held).ofShop }
      : own
  return {
    open,
    held: learnWith(
      sets,
      left,
      estimates,
      begin,
      start?.held.told ?? open.told,
      isLarge ? { ...nearEnough.held, shop: easyNear * nearEnough.held.shop } : nearEnough.held,
    ),
  }
}
