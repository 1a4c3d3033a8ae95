import type { LayeredSearch } from './layeredSearch'
import type { FoundOrder } from '@/core/sequence/problem/foundOrder'
import type { Prepared } from '@/core/sequence/problem/prepared'

interface PlaceRun {
  readonly firstTool: number
  readonly lastTool: number
  readonly order: FoundOrder
}

/** States kept for one place alone; enough that nothing is cut on any wheel that was met. */
const ampleWidth = 3000

/**
 * The best order for one person that finishes each place before the next: every place alone, for each tool it can be entered
 * with and left with, then the cheapest round through all places (dynamic programming over what is done).
 */
export function* bestRound(
  search: LayeredSearch,
  prepared: Prepared,
  only?: readonly number[],
): Generator<void, FoundOrder | null> {
  const { placeCount, toolCount, walk } = prepared
  const places = search.places.flatMap((progress, place) =>
    progress.start.remainingCount > 0 && (only?.includes(place) ?? true) ? [place] : [],
  )
  const runs: PlaceRun[][] = Array.from({ length: placeCount }, () => [])
  const byKind = new Map<string, number>()
  const kinds = search.kinds
  for (const place of places) {
    const alike = byKind.get(kinds[place] as string)
    if (alike !== undefined) {
      runs[place] = (runs[alike] as PlaceRun[]).map((run) => ({
        ...run,
        order: {
          ...run.order,
          operations: run.order.operations.map((id) => twinOf(search, alike, place, id)),
        },
      }))
      continue
    }
    byKind.set(kinds[place] as string, place)
    for (let firstTool = 0; firstTool < toolCount; firstTool += 1) {
      const found = yield* search.pass({
        width: ampleWidth,
        below: Infinity,
        onlyPlaces: [place],
        standing: { place, tool: firstTool },
      })
      for (const order of found.bestByTool)
        runs[place]?.push({ firstTool, lastTool: order.lastTool, order: order.found })
    }
    if (runs[place]?.length === 0) return null
  }
  // Least seconds until a set of places is done, the last of them left with a tool.
  interface Reached {
    readonly seconds: number
    readonly run: PlaceRun
    readonly place: number
    readonly before: string | null
  }
  const reached = new Map<string, Reached>()
  const keyOf = (set: number, place: number, tool: number): string => `${set}.${place}.${tool}`
  const starts = prepared.problem.peopleAtStart?.[0]
  const offer = (key: string, entry: Reached) => {
    const known = reached.get(key)
    if (!known || entry.seconds < known.seconds) reached.set(key, entry)
  }
  for (const [at, place] of places.entries()) {
    for (const run of runs[place] ?? []) {
      const entry = starts?.place == null ? 0 : (walk[starts.place]?.[place] ?? 0) + prepared.change
      const seconds = (starts?.availableAtSeconds ?? 0) + entry + run.order.makespanSeconds
      offer(keyOf(1 << at, place, run.lastTool), { seconds, run, place, before: null })
    }
  }
  const all = (1 << places.length) - 1
  for (let set = 1; set < all; set += 1) {
    for (const [lastAt, last] of places.entries()) {
      if ((set & (1 << lastAt)) === 0) continue
      for (let tool = 0; tool < toolCount; tool += 1) {
        const key = keyOf(set, last, tool)
        const here = reached.get(key)
        if (!here) continue
        for (const [at, place] of places.entries()) {
          if (set & (1 << at)) continue
          for (const run of runs[place] ?? []) {
            if (run.firstTool !== tool) continue
            const seconds = here.seconds + (walk[last]?.[place] ?? 0) + run.order.makespanSeconds
            offer(keyOf(set | (1 << at), place, run.lastTool), { seconds, run, place, before: key })
          }
        }
      }
    }
  }
  let best: Reached | null = null
  for (const place of places)
    for (let tool = 0; tool < toolCount; tool += 1) {
      const end = reached.get(keyOf(all, place, tool))
      if (end && (!best || end.seconds < best.seconds)) best = end
    }
  if (!best) return null
  const operations: number[] = []
  for (let at: Reached | null = best; at; at = at.before === null ? null : (reached.get(at.before) ?? null))
    operations.unshift(...at.run.order.operations)
  return { operations, people: operations.map(() => 0), makespanSeconds: best.seconds }
}

const twinOf = (search: LayeredSearch, from: number, to: number, id: number): number =>
  search.places[to]?.ids[search.places[from]?.localOf[id] ?? 0] ?? id
