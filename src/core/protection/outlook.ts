import type { Wear } from './wear'
import type { Followed } from './followed'
import { covarianceAt } from './information'
import type { Learnt } from './learn'
import { layerValues, type LayerValues } from './unknowns'
import { ownWear } from './ownWear'
import { usedSlopes, wearingOf } from './used'

/** What nobody can know of the weeks to come, as a spread of the wear's logarithm. House estimate. */
const aheadSpread = 0.06

/** Everything a layer's date is worked out with. */
export interface LayerOutlook {
  readonly values: LayerValues
  /** Of sooner, changed and harsher. */
  readonly covariance: readonly (readonly number[])[]
}

export function outlookOf(
  one: Followed,
  setAt: number,
  { unknowns, values, covariance }: Learnt,
): LayerOutlook {
  const productAt = unknowns.productAt.get(one.layer.productId) ?? 0
  const products = unknowns.productAt.size
  const known = covarianceAt(covariance, setAt, [productAt, products])
  const at = (row: number, column: number): number => known[row]?.[column] ?? 0
  /** Sooner is the set's less the product's. */
  const soonerBy = (column: number): number => at(0, column) - at(2, column)
  return {
    values: layerValues(values, setAt, productAt, products),
    covariance: [
      [soonerBy(0) - soonerBy(2), soonerBy(1), soonerBy(3)],
      [soonerBy(1), at(1, 1), at(1, 3)],
      [soonerBy(3), at(1, 3), at(3, 3)],
    ],
  }
}

/** The outlooks of a set's layers, each with what its own looks say beyond what the axles share. */
export function outlooksOf(layers: readonly Followed[], setAt: number, learnt: Learnt): LayerOutlook[] {
  const shared = new Map(layers.map((one) => [one, outlookOf(one, setAt, learnt)]))
  const own = ownWear(layers, (one) => outlookOf(one, setAt, learnt).values, learnt.estimates)
  return [...shared].map(([one, outlook]) => {
    const { values } = outlook
    return { ...outlook, values: { ...values, sooner: values.sooner + (own.get(one) ?? 0) } }
  })
}

/** The direction in which not knowing moves the share used most: sooner, changed, harsher. */
export function alongUse(wear: Wear, { values, covariance }: LayerOutlook): number[] {
  const { sooner, changed, harsher } = usedSlopes(wear, wearingOf(values))
  const slopes = [sooner, changed, harsher]
  return slopes.map((_, i) =>
    slopes.reduce((sum, slope, j) => {
      const ahead = i === 0 && j === 0 ? aheadSpread * aheadSpread : 0
      return sum + ((covariance[i]?.[j] ?? 0) + ahead) * slope
    }, 0),
  )
}

/** Spread of the share used, from all that is not known. */
export function spreadOfUse(wear: Wear, outlook: LayerOutlook): number {
  const { sooner, changed, harsher } = usedSlopes(wear, wearingOf(outlook.values))
  const [a = 0, b = 0, c = 0] = alongUse(wear, outlook)
  return Math.sqrt(Math.max(0, a * sooner + b * changed + c * harsher))
}
