import { layerDue } from '@/core/protection/due'
import { soonestDue, type DueEntry } from '@/core/protection/dueEntry'
import { protectionFacts } from '@/core/protection/kinds'
import { axleOf } from '@/core/wheel/position'
import type { Queryable } from '@/data/database'
import { listLiveLayers, type StoredLayers } from '@/data/queries/protection'

/** What is on the wheel matters before what is on the rubber. */
const weight = (entry: DueEntry): number => (entry.on === 'wheel' ? 0 : 1)

function entryOf(layers: StoredLayers, now: Date): DueEntry {
  const { positions, kind, ...named } = layers
  const ofAxle = new Map(positions.map((position) => [axleOf(position), position]))
  const { on, name } = protectionFacts[kind]
  return {
    ...named,
    on,
    kindName: name,
    axles: [...ofAxle]
      .map(([axle, position]) => ({
        axle,
        due: layerDue({ position, kind, appliedAt: layers.appliedAt }, now),
      }))
      .sort((a, b) => a.due.topUpAt.getTime() - b.due.topUpAt.getTime()),
  }
}

/** Everything that wears, one entry per wheel set and protection: wheels before tyres, soonest first. */
export async function dueList(
  database: Queryable,
  now: Date,
  wheelSetId: string | null = null,
): Promise<DueEntry[]> {
  const entries = (await listLiveLayers(database, wheelSetId)).map((layers) => entryOf(layers, now))
  return entries.sort(
    (a, b) =>
      weight(a) - weight(b) ||
      soonestDue(a).topUpAt.getTime() - soonestDue(b).topUpAt.getTime() ||
      a.vehicleName.localeCompare(b.vehicleName),
  )
}
