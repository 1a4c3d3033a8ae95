import { exp } from '@/core/quantity/portableMath'
import type { Band } from './forecast'
import { tenth } from './forecast'
import { shopCovariance } from './information'
import type { Learnt } from './learn'
import { normalBelow } from './look'
import type { KindLife, WearEstimates, WornProduct } from './record'

/** A product among those of its kind, all on equal wear. */
export interface ComparedProduct {
  readonly id: string
  readonly kind: string
  /** Days on the front of an ordinary set. */
  readonly lifeDays: Band
  /** Looks it was judged by. */
  readonly looks: number
  /** Chance that it outlasts the next one of its kind, 0 to 1; null: it is the last. */
  readonly beatsNext: number | null
}

/** A set to compare on: so many kilometres a week, ordinary dust, washed so often. House estimate. */
const ordinary = { kilometresPerWeek: 250, washWearPerWeek: 0.01 } as const

/** Days a kind lasts on an ordinary front, winter and summer together. */
function ordinaryLifeDays(
  kind: KindLife,
  { winterFactor, winterMonths, hotMonths = [] }: WearEstimates,
): number {
  const winter = winterMonths.length / 12
  const heat = hotMonths.length / 12
  const season = 1 + winter * (winterFactor - 1) + heat * ((kind.hotFactor ?? 1) - 1)
  const perDay =
    season / kind.lifeDays +
    ordinary.kilometresPerWeek / 7 / kind.lifeKilometres +
    (ordinary.washWearPerWeek / 7) * kind.washFactor
  return 1 / perDay
}

/**
 * Products of each kind, the one that lasts longest first, with the chance that it outlasts the next: both learnt together, so that
 * what a hard car did to one does not count against it.
 * @param looksOf how many looks a product was judged by
 */
export function compareProducts(
  products: readonly WornProduct[],
  { unknowns, values, covariance }: Learnt,
  estimates: WearEstimates,
  looksOf: (productId: string) => number,
): ComparedProduct[] {
  const at = (id: string): number => unknowns.productAt.get(id) ?? 0
  const value = (id: string): number => values.ofShop[at(id)] ?? 0
  const variance = (one: string, other: string): number => shopCovariance(covariance, at(one), at(other))
  const chance = (one: string, other: string): number => {
    const spread = Math.sqrt(
      Math.max(1e-9, variance(one, one) + variance(other, other) - 2 * variance(one, other)),
    )
    return normalBelow((value(one) - value(other)) / spread)
  }
  const kinds = [...new Set(products.map(({ kind }) => kind))]
  return kinds.flatMap((kind) => {
    const life = estimates.kinds[kind]
    if (!life) return []
    const days = ordinaryLifeDays(life, estimates)
    const ranked = products
      .filter((product) => product.kind === kind)
      .sort((a, b) => value(b.id) - value(a.id) || (a.id < b.id ? -1 : 1))
    return ranked.map(({ id }, rank): ComparedProduct => {
      const spread = Math.sqrt(Math.max(0, variance(id, id)))
      const lasts = (spreads: number): number => Math.round(days * exp(value(id) + spreads * spread))
      const next = ranked[rank + 1]
      return {
        id,
        kind,
        lifeDays: { p10: lasts(-tenth), p50: lasts(0), p90: lasts(tenth) },
        looks: looksOf(id),
        beatsNext: next ? chance(id, next.id) : null,
      }
    })
  })
}
