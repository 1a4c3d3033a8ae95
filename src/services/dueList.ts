import { layerDue } from '@/core/protection/due'
import type { DueEntry } from '@/core/protection/dueEntry'
import { protectionFacts } from '@/core/protection/kinds'
import { axleOf } from '@/core/wheel/position'
import type { Queryable } from '@/data/database'
import { listLiveLayers, type StoredLayer } from '@/data/queries/protection'

const key = (layer: StoredLayer) =>
  [layer.wheelSetId, layer.kind, layer.productName, axleOf(layer.position), layer.appliedAt.getTime()].join(
    '|',
  )

/** Everything that wears, soonest first, one entry per wheel set, kind and axle. */
export async function dueList(
  database: Queryable,
  now: Date,
  wheelSetId: string | null = null,
): Promise<DueEntry[]> {
  const entries = new Map<string, DueEntry>()
  for (const layer of await listLiveLayers(database, wheelSetId)) {
    entries.set(key(layer), {
      wheelSetId: layer.wheelSetId,
      vehicleName: layer.vehicleName,
      wheelSetName: layer.wheelSetName,
      axle: axleOf(layer.position),
      kindName: protectionFacts[layer.kind].name,
      productName: layer.productName,
      appliedAt: layer.appliedAt,
      due: layerDue(layer, now),
    })
  }
  return [...entries.values()].sort(
    (a, b) =>
      a.due.topUpAt.getTime() - b.due.topUpAt.getTime() ||
      a.vehicleName.localeCompare(b.vehicleName) ||
      a.axle.localeCompare(b.axle),
  )
}
