import { compareProducts, type ComparedProduct } from '@/core/protection/compareProducts'
import type { Calibration } from '@/core/protection/calibrate'
import { beads, type ProtectionKind } from '@/core/protection/kinds'
import type { ShopForecast } from './shopForecast'

export interface Comparison {
  readonly products: readonly ComparedProduct[]
  readonly calibration: Calibration
}

const kept = new WeakMap<ShopForecast, Comparison>()

/** Which product of a kind lasts longer in this shop, and how often what was forecast held. */
export function comparison(shop: ShopForecast, _asked: null): Comparison {
  const known = kept.get(shop) ?? compared(shop)
  kept.set(shop, known)
  return known
}

function compared(shop: ShopForecast): Comparison {
  const looks = new Map<string, number>()
  for (const { record } of shop.followed.values()) {
    const products = new Map(record.layers.map(({ id, productId }) => [id, productId]))
    for (const { layerId } of record.looks) {
      const product = products.get(layerId) ?? ''
      looks.set(product, (looks.get(product) ?? 0) + 1)
    }
  }
  return {
    calibration: shop.calibration,
    products: compareProducts(
      shop.products.filter(({ kind }) => beads(kind as ProtectionKind)),
      shop.learnt.held,
      shop.following.estimates,
      (id) => looks.get(id) ?? 0,
    ),
  }
}
