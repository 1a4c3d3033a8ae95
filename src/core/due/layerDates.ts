import { message, type Message } from '@/core/message/message'
import { layerId, type LayerFacts } from '@/core/protection/setHistory'
import type { DateBand, ForecastLayer } from '@/core/protection/setForecast'
import { beads, protectionFacts } from '@/core/protection/kinds'
import { millisecondsPerDay, type DueItem, type Sureness } from './dueItem'
import type { DueSet } from './dueSet'

/** A layer that is on, and what is expected of it. */
export interface LiveLayer {
  readonly facts: LayerFacts
  readonly forecast: ForecastLayer
}

/** Live layers of a set on some surface. */
export function liveLayers({ facts, forecast }: DueSet, on: 'wheel' | 'tyre' | 'arch'): LiveLayer[] {
  const live = facts.layers.filter((layer) => layer.endedAt === null && protectionFacts[layer.kind].on === on)
  const byId = new Map(live.map((layer) => [layerId(facts.id, layer), layer]))
  return forecast.layers.flatMap((one): LiveLayer[] => {
    const layer = byId.get(one.id)
    return layer ? [{ facts: layer, forecast: one }] : []
  })
}

/** Layers of one product put on in one go, the axle that is due first in front. */
export function byProduct(
  layers: readonly LiveLayer[],
  dateOf: (one: ForecastLayer) => DateBand,
): LiveLayer[][] {
  const groups = new Map<string, LiveLayer[]>()
  for (const layer of layers) {
    const { kind, productName, appliedAt } = layer.facts
    const key = `${kind} ${productName} ${appliedAt.getTime()}`
    groups.set(key, [...(groups.get(key) ?? []), layer])
  }
  return [...groups.values()].map((group) =>
    group.sort((a, b) => dateOf(a.forecast).p50.getTime() - dateOf(b.forecast).p50.getTime()),
  )
}

/** A band narrower than this share of the time from application is sure; beyond the other it is a guess. House estimates. */
const sureShare = 0.25
const guessShare = 0.6

/** How far a date can be trusted, by its band against the time since the layer was put on. */
export function surenessOf({ p10, p90, p50 }: DateBand, appliedAt: Date): Sureness {
  const life = Math.max(millisecondsPerDay, p50.getTime() - appliedAt.getTime())
  const share = (p90.getTime() - p10.getTime()) / life
  return share < sureShare ? 'sure' : share < guessShare ? 'likely' : 'guess'
}

/** What a date of a layer says in a list. */
export const bandOfDate = ({ p10, p90 }: DateBand): DueItem['band'] => ({ from: p10, until: p90 })

/** The axle that the layers of a group are on; 'all' for both. */
export const whereOf = (group: readonly LiveLayer[]): 'front' | 'rear' | 'all' => {
  const axles = [...new Set(group.map(({ facts }) => facts.axle))]
  const [only] = axles
  return axles.length === 1 && only ? only : 'all'
}

const usedOn = ({ facts, forecast: { usedShare } }: LiveLayer): Message =>
  usedShare >= 1
    ? message('due.used.all', { where: facts.axle })
    : message('due.used.part', { where: facts.axle, share: { share: usedShare } })

/** How much is used, and what that rests on. */
export function usedMessage(group: readonly LiveLayer[]): Message {
  const isUsedUp = group.length > 1 && group.every(({ forecast }) => forecast.usedShare >= 1)
  const used = isUsedUp ? message('due.used.all', { where: whereOf(group) }) : group.map(usedOn)
  return group.some(({ facts }) => beads(facts.kind))
    ? message('due.used.checked', {
        used,
        checks: group.reduce((sum, { forecast }) => sum + forecast.looks, 0),
      })
    : message('due.used.estimated', { used })
}
