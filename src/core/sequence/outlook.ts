import type { Ground } from './ground'
import { mostOpen, type Layer } from './layer'
import type { PlaceProgress, Progress } from './progress'
import type { PlaceWaste, Wait } from './waste'

type Link = { readonly other: number; readonly min: number }

/** What a state says about what may come next. */
export class Outlook {
  constructor(private readonly ground: Ground) {}

  /** Whether all that has to come before an operation at other places is done. */
  isFree(layer: Layer, state: number, id: number, place: number): boolean {
    const { prepared, places } = this.ground
    for (const { other } of prepared.before[id] as readonly Link[]) {
      const where = prepared.place[other] as number
      if (where === place) continue
      const there = places[where] as PlaceProgress
      const progress = there.states[layer.progress[state * prepared.placeCount + where] as number] as Progress
      if (!progress.done[there.localOf[other] as number]) return false
    }
    return true
  }

  /** Waste that the others do not meet because they are where they are. */
  savedByOthers(layer: Layer, state: number, worker: number, place: number): number {
    const { places, waste: wastes, prepared } = this.ground
    const { people, placeCount } = prepared
    let saved = 0
    for (let other = 0; other < people; other += 1) {
      const at = layer.personPlace[state * people + other] as number
      if (other === worker || at < 0 || at === place) continue
      const progress = (places[at] as PlaceProgress).states[
        layer.progress[state * placeCount + at] as number
      ] as Progress
      const waste = wastes[at] as PlaceWaste
      saved +=
        waste.fromAway(progress) -
        waste.fromHere(progress, layer.personTool[state * people + other] as number, [])
    }
    return saved
  }

  /** Whether the second person is in nothing different from the first: neither has begun. */
  sameAsFirst(layer: Layer, state: number): boolean {
    const { prepared, side } = this.ground
    const first = state * prepared.people
    return (
      layer.personPlace[first] === layer.personPlace[first + 1] &&
      layer.personTool[first] === layer.personTool[first + 1] &&
      layer.personPlace[first] === -1 &&
      layer.net[state * side * side + 1] === layer.net[state * side * side + 2]
    )
  }

  /** Dwells at a place that have not run out when an operation ends there. */
  waitsAt(layer: Layer, state: number, place: number, progress: Progress, id: number, end: number): Wait[] {
    const { prepared, places, side } = this.ground
    const here = places[place] as PlaceProgress
    const waits: Wait[] = []
    const openCount = layer.openCount[state] as number
    for (let open = 0; open < openCount; open += 1) {
      const other = layer.open[state * mostOpen + open] as number
      if (prepared.place[other] !== place) continue
      const ended = layer.net[state * side * side + 1 + prepared.people + open] as number
      for (const link of prepared.after[other] as readonly Link[]) {
        const local = here.local.get(link.other)
        const seconds = link.min - (end - ended)
        if (local !== undefined && seconds > 0 && !progress.done[local]) waits.push({ local, seconds })
      }
    }
    for (const link of prepared.after[id] as readonly Link[]) {
      const local = here.local.get(link.other)
      if (local !== undefined && link.min > 0) waits.push({ local, seconds: link.min })
    }
    return waits
  }
}
