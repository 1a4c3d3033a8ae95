import { compareProducts, type ComparedProduct } from '@/core/protection/compareProducts'
import type { Calibration } from '@/core/protection/calibrate'
import { beads, type ProtectionKind } from '@/core/protection/kinds'
import type { Database } from '@/data/database'
import { costOfApplications } from '@/data/queries/visits'
import { protectionRoom } from './protectionRoom'

/** A product against its neighbours, with what a month of its protection costs. */
export interface RankedProduct extends ComparedProduct {
  readonly name: string
  readonly protection: ProtectionKind
  /** Minor units a month for a set; null: nobody knows what one application costs. */
  readonly costPerMonthMinor: number | null
}

export interface Comparison {
  readonly products: readonly RankedProduct[]
  readonly calibration: Calibration
}

const daysPerMonth = 30.44

/** Which product of a kind lasts longer in this shop, and how often what was forecast held. */
export async function productsCompared(database: Database, now: Date): Promise<Comparison> {
  const room = await protectionRoom(database, now)
  const looks = new Map<string, number>()
  for (const { record } of room.followed.values()) {
    const products = new Map(record.layers.map(({ id, productId }) => [id, productId]))
    for (const { layerId } of record.looks) {
      const product = products.get(layerId) ?? ''
      looks.set(product, (looks.get(product) ?? 0) + 1)
    }
  }
  const costs = await costOfApplications(database)
  const ranked = compareProducts(
    room.products.filter(({ kind }) => beads(kind as ProtectionKind)),
    room.learnt.held,
    room.following.estimates,
    (id) => looks.get(id) ?? 0,
  )
  return {
    calibration: room.calibration,
    products: ranked.map((product): RankedProduct => {
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
