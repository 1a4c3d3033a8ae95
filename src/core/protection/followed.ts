import { clogAt } from './clog'
import { exposureOf, setCourse, type Exposure, type SetCourse } from './wear'
import type { Seasons } from './seasons'
import { productSights, type ProductSights, type SeenLook } from './sights'
import type { SetRecord, ShopRecord, WearEstimates, WornLayer, WornProduct } from './record'

/** A layer with what has worked at it. */
export interface Followed {
  readonly layer: WornLayer
  readonly exposure: Exposure
  /** In order of time. */
  readonly looks: readonly SeenLook[]
}

/** A set with all its layers that were looked at, or are still on. */
export interface FollowedSet {
  readonly record: SetRecord
  readonly course: SetCourse
  readonly layers: readonly Followed[]
  readonly seen: readonly ProductSights[]
}

/** What all sets of a shop are followed with. */
export interface Following {
  readonly now: number
  readonly estimates: WearEstimates
  readonly seasons: Seasons
  readonly products: ReadonlyMap<string, WornProduct>
}

const byTime = (a: { readonly at: Date }, b: { readonly at: Date }): number => a.at.getTime() - b.at.getTime()

/** Follows one set; depends on nothing but its own record, so that a change of one leaves the others as they are. */
export function followSet(record: SetRecord, { now, estimates, seasons, products }: Following): FollowedSet {
  const course = setCourse(record, seasons, now)
  const looksOf = groupedBy(record.looks, ({ layerId }) => layerId)
  const layers = record.layers.flatMap((layer): Followed[] => {
    const kind = estimates.kinds[products.get(layer.productId)?.kind ?? '']
    const looks = looksOf.get(layer.id) ?? []
    if (!kind || (looks.length === 0 && layer.endedAt !== null)) return []
    const exposure = exposureOf(course, record.set, layer, kind, estimates)
    return [
      {
        layer,
        exposure,
        looks: [...looks].sort(byTime).map((look) => ({
          look,
          wear: exposure.wearAt(look.at.getTime()),
          clog: clogAt(look.at.getTime(), exposure.appliedAt, record.washes, seasons, estimates),
        })),
      },
    ]
  })
  return { record, course, layers, seen: productSights(layers) }
}

/** A shop's record, set by set, with the washes in order of time. */
export function recordsOf(record: ShopRecord): SetRecord[] {
  const layers = groupedBy(record.layers, ({ setId }) => setId)
  const setOfLayer = new Map(record.layers.map(({ id, setId }) => [id, setId]))
  const washes = groupedBy([...record.washes].sort(byTime), ({ setId }) => setId)
  const looks = groupedBy(record.looks, ({ layerId }) => setOfLayer.get(layerId) ?? '')
  return record.sets.map((set) => ({
    set,
    layers: layers.get(set.id) ?? [],
    washes: washes.get(set.id) ?? [],
    looks: looks.get(set.id) ?? [],
  }))
}

function groupedBy<T>(entries: readonly T[], keyOf: (entry: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const entry of entries) {
    const group = groups.get(keyOf(entry))
    if (group) group.push(entry)
    else groups.set(keyOf(entry), [entry])
  }
  return groups
}
