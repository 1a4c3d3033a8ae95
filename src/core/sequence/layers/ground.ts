import { itemAt } from '@/core/sequence/problem/packed'
import { Appender } from './append'
import { Deadlines } from './deadlines'
import { maxOpen } from './layer'
import type { Prepared } from '@/core/sequence/problem/prepared'
import { PlaceProgress } from './progress'
import { kindsOfPlaces, symmetriesOf } from './symmetry'
import { PlaceWaste } from './waste'

/** What all passes over one problem share, worked out once. */
export interface Ground {
  readonly prepared: Prepared
  readonly places: readonly PlaceProgress[]
  /** Places with the same text have the same work. */
  readonly kinds: readonly string[]
  readonly waste: readonly PlaceWaste[]
  readonly deadlines: Deadlines
  readonly appender: Appender
  /** Tools of which there is one. */
  readonly singles: readonly number[]
  readonly symmetries: readonly (readonly number[])[]
  /** Variables of a network: the start, the people, what is open. */
  readonly side: number
}

export function groundOf(prepared: Prepared): Ground {
  const places = Array.from({ length: prepared.placeCount }, (_, place) => new PlaceProgress(prepared, place))
  const waysInto = places.map((_, place) =>
    prepared.walk.flatMap((row, from) => (from === place ? [] : [itemAt(row, place)])),
  )
  const shortest = (ways: readonly number[], none: number) => (ways.length === 0 ? none : Math.min(...ways))
  const waste = places.map(
    (progress, place) => new PlaceWaste(prepared, progress, shortest(itemAt(waysInto, place), Infinity)),
  )
  const shortestWayIn = waysInto.map((ways) => shortest(ways, 0))
  const singles = [...prepared.isSingle].flatMap((single, tool) => (single ? [tool] : []))
  const side = 1 + prepared.people + maxOpen
  const deadlines = new Deadlines(prepared, places, shortestWayIn, side)
  return {
    prepared,
    places,
    kinds: kindsOfPlaces(prepared),
    waste,
    deadlines,
    appender: new Appender(prepared, places, waste, singles, deadlines, side),
    singles,
    symmetries: symmetriesOf(prepared),
    side,
  }
}
