import { layerDue } from '@/core/protection/due'
import { soonestDue, type DueEntry } from '@/core/protection/dueEntry'
import { protectionFacts } from '@/core/protection/kinds'
import { axleOf } from '@/core/wheel/position'
import type { Queryable } from '@/data/database'
import { listLiveLayers, type StoredLayer } from '@/data/queries/protection'

const key = (layer: StoredLayer) =>
  [layer.wheelSetId, layer.kind, layer.productName, layer.appliedAt.getTime()].join('|')

/** What is on the wheel matters before what is on the rubber. */
const weight = (entry: DueEntry): number => (entry.on === 'wheel' ? 0 : 1)

/** Everything that wears, one entry per wheel set and protection: wheels before tyres, soonest first. */
export async function dueList(
  database: Queryable,
  now: Date,
  wheelSetId: string | null = null,
): Promise<DueEntry[]> {
  const entries = new Map<string, DueEntry>()
  for (const layer of await listLiveLayers(database, wheelSetId)) {
    const known = entries.get(key(layer))
    const axle = axleOf(layer.position)
    if (known?.axles.some((entry) => entry.axle === axle)) continue
    const axles = [...(known?.axles ?? []), { axle, due: layerDue(layer, now) }]
    entries.set(key(layer), {
      wheelSetId: layer.wheelSetId,
      vehicleName: layer.vehicleName,
      wheelSetName: layer.wheelSetName,
      on: protectionFacts[layer.kind].on,
      kindName: protectionFacts[layer.kind].name,
      productName: layer.productName,
      appliedAt: layer.appliedAt,
      axles: axles.sort((a, b) => a.due.topUpAt.getTime() - b.due.topUpAt.getTime()),
    })
  }
  return [...entries.values()].sort(
    (a, b) =>
      weight(a) - weight(b) ||
      soonestDue(a).topUpAt.getTime() - soonestDue(b).topUpAt.getTime() ||
      a.vehicleName.localeCompare(b.vehicleName),
  )
}
