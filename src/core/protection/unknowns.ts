import type { Followed } from './followed'
import type { ShopRecord } from './record'

/** What nobody tells and only looks can teach; all are 0 where the house is right. */
export interface LayerValues {
  /** How much sooner the set wears than the house reckons, less what the product lasts longer; natural logarithm. */
  readonly sooner: number
  /** How much more the set is driven since half a year, natural logarithm. */
  readonly changed: number
  /** How much harder the winters are, natural logarithm. */
  readonly harsher: number
  /** Added to what looks see, share of health. */
  readonly kindness: number
  /** How much wider looks scatter, natural logarithm. */
  readonly carelessness: number
}

/** Spreads of what is not told by the record. House estimates. */
const spreads = { changed: 0.3, harsher: 0.3, kindness: 0.06, carelessness: 0.35 } as const

/** Where each unknown of a shop stands in one list: sets, products, changes of the sets, then those of the shop. */
export interface Unknowns {
  readonly count: number
  /** One over the square of each prior's spread. */
  readonly weights: readonly number[]
  readonly setAt: ReadonlyMap<string, number>
  readonly productAt: ReadonlyMap<string, number>
  readonly firstChange: number
  readonly firstOfShop: number
}

export function unknownsOf({ sets, products, estimates }: ShopRecord): Unknowns {
  const all = [
    ...sets.map(() => estimates.setSpread),
    ...products.map(() => estimates.productSpread),
    ...sets.map(() => spreads.changed),
    spreads.harsher,
    spreads.kindness,
    spreads.carelessness,
  ]
  return {
    count: all.length,
    weights: all.map((spread) => 1 / (spread * spread)),
    setAt: new Map(sets.map(({ id }, at) => [id, at])),
    productAt: new Map(products.map(({ id }, at) => [id, sets.length + at])),
    firstChange: sets.length + products.length,
    firstOfShop: 2 * sets.length + products.length,
  }
}

/** The unknowns a layer depends on: set, product, change of the set, winter, kindness, carelessness. */
export function layerSpots(unknowns: Unknowns, { layer }: Followed): readonly number[] {
  const set = unknowns.setAt.get(layer.setId) ?? 0
  const product = unknowns.productAt.get(layer.productId) ?? 0
  const { firstChange, firstOfShop } = unknowns
  return [set, product, firstChange + set, firstOfShop, firstOfShop + 1, firstOfShop + 2]
}

/** The values of a layer, one of its spots moved. */
export function valuesAt(
  middle: readonly number[],
  spots: readonly number[],
  moved: number,
  by: number,
): LayerValues {
  const value = (spot: number): number => (middle[spots[spot] ?? 0] ?? 0) + (spot === moved ? by : 0)
  return {
    sooner: value(0) - value(1),
    changed: value(2),
    harsher: value(3),
    kindness: value(4),
    carelessness: value(5),
  }
}
