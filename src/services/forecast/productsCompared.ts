import type { ComparedProduct } from '@/core/protection/compareProducts'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { Database } from '@/data/database'
import { costOfApplications } from '@/data/queries/visits'
import type { Comparison } from '@/core/forecast'
import { askForecast } from './askForecast'

/** A product against its neighbours, with what a month of its protection costs. */
export interface RankedProduct extends ComparedProduct {
  readonly name: string
  readonly protection: ProtectionKind
  /** Minor units a month for a set; null: nobody knows what one application costs. */
  readonly costPerMonthMinor: number | null
}

export interface RankedComparison extends Comparison {
  readonly products: readonly RankedProduct[]
}

const daysPerMonth = 30.44

/** Which product of a kind lasts longer in this shop, and how often what was forecast held. */
export async function productsCompared(database: Database, now: Date): Promise<RankedComparison> {
  const { products, calibration } = await askForecast(database, now, 'comparison', null)
  const costs = await costOfApplications(database)
  return {
    calibration,
    products: products.map((product): RankedProduct => {
      const name = product.id.slice(product.kind.length + 1)
      const cost = costs.get(name)
      return {
        ...product,
        name,
        protection: product.kind as ProtectionKind,
        costPerMonthMinor: cost === undefined ? null : (cost * daysPerMonth) / product.lifeDays.p50,
      }
    }),
  }
}
