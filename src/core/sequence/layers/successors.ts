import { byteAt, intAt, itemAt } from '@/core/sequence/problem/packed'
import type { Ground } from './ground'
import type { Layer } from './layer'
import type { Progress } from './progress'
import type { Wait } from './waste'

/** What a state says about what may come next. */
export class Successors {
  constructor(private readonly ground: Ground) {}

  /** Whether all that has to come before an operation at other places is done. */
  isFree(layer: Layer, state: number, id: number, place: number): boolean {
    const { prepared, places } = this.ground
    for (const { other } of itemAt(prepared.before, id)) {
      const where = intAt(prepared.place, other)
      if (where === place) continue
      const there = itemAt(places, where)
      const progress = itemAt(there.states, layer.progress.at(state, where))
      if (!progress.done[intAt(there.localOf, other)]) return false
    }
    return true
  }

  /** Waste that the others do not meet because they are where they are. */
  savedByOthers(layer: Layer, state: number, worker: number, place: number): number {
    const { places, waste: wastes, prepared } = this.ground
    const { people } = prepared
    let saved = 0
    for (let other = 0; other < people; other += 1) {
      const at = layer.personPlace.at(state, other)
      if (other === worker || at < 0 || at === place) continue
      const progress = itemAt(itemAt(places, at).states, layer.progress.at(state, at))
      const waste = itemAt(wastes, at)
      saved += waste.fromAway(progress) - waste.fromHere(progress, layer.personTool.at(state, other), [])
    }
    return saved
  }

  /** Whether the second person is in nothing different from the first: neither has begun. */
  sameAsFirst(layer: Layer, state: number): boolean {
    const { personPlace, personTool, net } = layer
    return (
      personPlace.at(state, 0) === -1 &&
      personPlace.at(state, 1) === -1 &&
      personTool.at(state, 0) === personTool.at(state, 1) &&
      net.at(state, 0, 1) === net.at(state, 0, 2)
    )
  }

  /** Dwells at a place that have not run out when an operation ends there. */
  waitsAt(layer: Layer, state: number, place: number, progress: Progress, id: number, end: number): Wait[] {
    const { prepared, places } = this.ground
    const here = itemAt(places, place)
    const waits: Wait[] = []
    const openCount = byteAt(layer.openCount, state)
    for (let open = 0; open < openCount; open += 1) {
      const other = layer.open.at(state, open)
      if (prepared.place[other] !== place) continue
      const ended = layer.net.at(state, 0, 1 + prepared.people + open)
      for (const link of itemAt(prepared.after, other)) {
        const local = here.local.get(link.other)
        const seconds = link.min - (end - ended)
        if (local !== undefined && seconds > 0 && !progress.done[local]) waits.push({ local, seconds })
      }
    }
    for (const link of itemAt(prepared.after, id)) {
      const local = here.local.get(link.other)
      if (local !== undefined && link.min > 0) waits.push({ local, seconds: link.min })
    }
    return waits
  }
}
