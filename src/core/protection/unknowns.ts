import type { WearEstimates, WornProduct } from './record'

/** Driving that changed is looked for since then, days before now. */
export const changedDays = 200

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

/** Unknowns of a set: how hard it wears, and how much more it is driven. */
export const ofSet = 2
/** Unknowns of the shop beside its products: winters, kindness, carelessness. */
export const ofShop = 3

/**
 * Where each unknown stands. Those of a set touch only its own looks: two a set, in the order of the sets. Those of the whole shop
 * come after, products first.
 */
export interface Unknowns {
  /** One over the square of each prior's spread: the two of a set, then those of products and shop. */
  readonly setWeights: Float64Array
  readonly shopWeights: Float64Array
  readonly setAt: ReadonlyMap<string, number>
  readonly productAt: ReadonlyMap<string, number>
}

const weightOf = (spread: number): number => 1 / (spread * spread)

export function unknownsOf(
  setIds: readonly string[],
  products: readonly WornProduct[],
  estimates: WearEstimates,
): Unknowns {
  return {
    setWeights: Float64Array.from(setIds.flatMap(() => [estimates.setSpread, spreads.changed].map(weightOf))),
    shopWeights: Float64Array.from(
      [
        ...products.map(() => estimates.productSpread),
        spreads.harsher,
        spreads.kindness,
        spreads.carelessness,
      ].map(weightOf),
    ),
    setAt: new Map(setIds.map((id, at) => [id, at])),
    productAt: new Map(products.map(({ id }, at) => [id, at])),
  }
}

/** Most likely values of all unknowns, laid out like their weights. */
export interface Values {
  readonly ofSets: Float64Array
  readonly ofShop: Float64Array
}

/** The values one layer depends on. */
export function layerValues(
  { ofSets, ofShop: shop }: Values,
  setAt: number,
  productAt: number,
  productCount: number,
): LayerValues {
  return {
    sooner: (ofSets[setAt * ofSet] ?? 0) - (shop[productAt] ?? 0),
    changed: ofSets[setAt * ofSet + 1] ?? 0,
    harsher: shop[productCount] ?? 0,
    kindness: shop[productCount + 1] ?? 0,
    carelessness: shop[productCount + 2] ?? 0,
  }
}
