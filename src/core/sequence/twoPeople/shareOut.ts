import { intAt } from '@/core/sequence/problem/packed'
import type { Pair } from '@/core/sequence/merging/anneal'
import { oneAroundTheOther } from './aroundShare'
import type { Patience } from './patience'
import { ordersOfShare, type Alternatives } from './shareOrders'
import { shifted } from '@/core/sequence/problem/shifted'
import type { Search, Standing } from '@/core/sequence/search/search'

/** Pairs of one way to share. */
const maxPairs = 5

/**
 * Pairs of orders for two, made one after the other: the places are shared out, each share is put in order for one person alone,
 * and the two are put on one clock, as they are and one around the other.
 */
export function* pairsOfShares(search: Search, patience: Patience): Generator<Standing | Pair, void> {
  const { layers } = search
  const places = layers.places.flatMap(({ start }, place) => (start.remainingCount > 0 ? [place] : []))
  const known = new Map<string, readonly (readonly number[])[]>()
  const tried: (readonly [Alternatives, Alternatives])[] = []
  for (const [first, second] of evenShares(search, places).slice(0, patience.shares)) {
    const ours = { places: first, orders: yield* ordersOfShare(search, first, patience, known) }
    const theirs = { places: second, orders: yield* ordersOfShare(search, second, patience, known) }
    tried.push([ours, theirs])
    if (tried.length === 1 && places.length <= patience.aroundFirstPlaces) {
      const around = yield* oneAroundTheOther(search, ours, theirs, patience)
      if (around) yield around
    }
    yield* goodPairs(search, ours, theirs, patience)
  }
  for (const [ours, theirs] of tried) {
    const around = yield* oneAroundTheOther(search, theirs, ours, patience)
    if (around) yield around
  }
  if (search.best) return
  // Nothing merges, or there is one place only: one person does it all, the other looks on.
  for (const order of yield* ordersOfShare(search, places, patience, known)) {
    const pair = search.annealer.pair([order.operations, []], Infinity)
    if (pair) yield pair
  }
}

/** For each good order of ours the one of theirs that goes best with it; the shortest first. */
function goodPairs(search: Search, ours: Alternatives, theirs: Alternatives, { paired }: Patience): Pair[] {
  const { annealer } = search
  const pairs = ours.orders
    .slice(0, paired)
    .flatMap((one) => {
      let best: Pair | null = null
      for (const other of theirs.orders.slice(0, paired)) {
        const below: number = best?.makespanSeconds ?? Infinity
        if (other.makespanSeconds >= below) continue
        best = annealer.pair([one.operations, other.operations], below) ?? best
      }
      return best ? [best] : []
    })
    .sort((a, b) => a.makespanSeconds - b.makespanSeconds)
    .slice(0, maxPairs)
  if (pairs.length > 0 || !ours.orders[0] || !theirs.orders[0]) return pairs
  const late = shiftedPair(search, ours.orders[0].operations, theirs.orders[0].operations)
  return late ? [late] : []
}

/** Two orders of which the second begins later, where they cannot be put on one clock any better. */
export function shiftedPair(
  { problem, annealer }: Search,
  first: readonly number[],
  second: readonly number[],
): Pair | null {
  const clock = shifted(problem, first, second)
  return clock && annealer.pairAt([first, second], Int32Array.from(clock.startSeconds))
}

/** Offers a pair as one order by time. */
export function offerPair(search: Search, { orders, startSeconds, makespanSeconds }: Pair): boolean {
  const entries = orders
    .flatMap((order, person) => order.map((id) => ({ id, person, start: intAt(startSeconds, id) })))
    .sort((a, b) => a.start - b.start || a.person - b.person)
  return search.offer({
    operations: entries.map(({ id }) => id),
    people: entries.map(({ person }) => person),
    makespanSeconds,
  })
}

/** All ways to share the places between two, by how uneven the work is and how far the ways are. */
function evenShares(
  { prepared, layers }: Search,
  places: readonly number[],
): (readonly [number[], number[]])[] {
  const workAt = (list: readonly number[]) =>
    list.reduce((sum, place) => sum + (layers.places[place]?.start.remainingSeconds ?? 0), 0)
  const spread = (list: readonly number[]) =>
    list.reduce((sum, a) => sum + list.reduce((all, b) => all + (prepared.walk[a]?.[b] ?? 0), 0), 0) /
    Math.max(1, list.length)
  const shares: {
    readonly pair: readonly [number[], number[]]
    readonly cost: number
    readonly set: number
  }[] = []
  // The first place is always in the first share; the other half of all sets is the same with people swapped.
  for (let set = 1; set < 1 << places.length; set += 2) {
    const first = places.filter((_, at) => set & (1 << at))
    const second = places.filter((_, at) => !(set & (1 << at)))
    if (second.length === 0) continue
    const cost = Math.abs(workAt(first) - workAt(second)) + spread(first) + spread(second)
    shares.push({ pair: [first, second], cost, set })
  }
  return shares.sort((a, b) => a.cost - b.cost || a.set - b.set).map(({ pair }) => pair)
}
