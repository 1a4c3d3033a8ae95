import { clogAt } from './clog'
import { exposureOf, millisecondsPerDay, type Exposure } from './exposure'
import type { ShopRecord, WornLayer, WornLook } from './record'
import { wearUpTo, type Wear } from './used'

/** A layer with what has worked at it. */
export interface Followed {
  readonly layer: WornLayer
  readonly exposure: Exposure
  readonly looks: readonly SeenLook[]
}

/** A look, and what was hidden at it. */
export interface SeenLook {
  readonly look: WornLook
  /** What had worked at the layer by then. */
  readonly wear: Wear
  readonly clog: number
}

/** Follows every layer that was looked at, or is still on. */
export function followed(record: ShopRecord): Followed[] {
  const sets = new Map(record.sets.map((set) => [set.id, set]))
  const products = new Map(record.products.map((product) => [product.id, product]))
  const washesOf = new Map(
    record.sets.map(({ id }) => [
      id,
      record.washes.filter(({ setId }) => setId === id).sort((a, b) => a.at.getTime() - b.at.getTime()),
    ]),
  )
  const looksOf = new Map<string, WornLook[]>()
  for (const look of record.looks) looksOf.set(look.layerId, [...(looksOf.get(look.layerId) ?? []), look])
  return record.layers.flatMap((layer): Followed[] => {
    const set = sets.get(layer.setId)
    const kind = record.estimates.kinds[products.get(layer.productId)?.kind ?? '']
    const looks = looksOf.get(layer.id) ?? []
    if (!set || !kind || (looks.length === 0 && layer.endedAt !== null)) return []
    const washes = washesOf.get(set.id) ?? []
    const exposure = exposureOf(record, layer, set, kind, washes)
    const dayOf = (look: WornLook): number =>
      (look.at.getTime() - layer.appliedAt.getTime()) / millisecondsPerDay
    return [
      {
        layer,
        exposure,
        looks: looks.map((look) => ({
          look,
          wear: wearUpTo(exposure, dayOf(look)),
          clog: clogAt(look.at, layer, washes, record.estimates),
        })),
      },
    ]
  })
}
