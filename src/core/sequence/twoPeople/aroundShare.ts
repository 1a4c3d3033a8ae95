import { intAt, itemAt } from '@/core/sequence/problem/packed'
import type { Pair } from '@/core/sequence/merging/anneal'
import type { FoundOrder } from '@/core/sequence/problem/foundOrder'
import { searchProfiles } from '@/core/sequence/search/searchProfiles'
import type { Patience } from './patience'
import { scheduleOf } from '@/core/sequence/problem/schedule'
import type { Alternatives } from './shareOrders'
import { silently, type Search, type Standing } from '@/core/sequence/search/search'
import type { Span } from '@/core/sequence/problem/spans'

/** The best order of one share with the other put around it, where the first has the single tools. */
export function* oneAroundTheOther(
  search: Search,
  host: Alternatives,
  guest: Alternatives,
  patience: Patience,
): Generator<Standing, Pair | null> {
  const [order] = host.orders
  const shares = order ? yield* fitIn(search, order, host.places, guest.places, patience) : []
  const [one, other] = shares
  return one && other ? search.annealer.pair([one.operations, other.operations], Infinity) : null
}

/** One person's share with its clock. */
interface Share {
  readonly places: readonly number[]
  readonly operations: readonly number[]
  readonly startSeconds: readonly number[]
  readonly endSeconds: number
}

/** When somebody has the single tools, by tool. */
function takenBy({ prepared }: Search, { operations, startSeconds }: Share): Map<number, Span[]> {
  const taken = new Map<number, Span[]>()
  for (const id of operations) {
    const tool = intAt(prepared.tool, id)
    if (prepared.isSingle[tool] !== 1) continue
    const from = itemAt(startSeconds, id)
    taken.set(tool, [...(taken.get(tool) ?? []), { from, to: from + intAt(prepared.duration, id) }])
  }
  for (const spans of taken.values()) spans.sort((a, b) => a.from - b.from)
  return taken
}

/** Puts a share in order around the times at which somebody else, whose clock stands, has the single tools. */
function* fitAround(
  search: Search,
  host: Share,
  places: readonly number[],
  below: number,
  patience: Patience,
): Generator<Standing, Share | null> {
  const taken = takenBy(search, host)
  let best: Share | null = null
  for (const manner of searchProfiles) {
    if ((manner.maxWet ?? 0) > places.length) continue
    const pass = search.alone.pass({
      width: patience.around.width,
      ...manner,
      onlyPlaces: places,
      below: best?.endSeconds ?? below,
      taken,
    })
    const { best: order } = yield* silently(pass, search)
    const startSeconds = order && startsAround(search, order, taken)
    if (!order || !startSeconds) continue
    const endSeconds = Math.max(
      ...order.operations.map((id) => itemAt(startSeconds, id) + intAt(search.prepared.duration, id)),
    )
    if (!best || endSeconds < best.endSeconds)
      best = { places, operations: order.operations, startSeconds, endSeconds }
  }
  return best
}

/** Puts the second share around the first, then each in turn around the other, as long as one of them still ends earlier. */
function* fitIn(
  search: Search,
  host: FoundOrder,
  hostPlaces: readonly number[],
  places: readonly number[],
  patience: Patience,
): Generator<Standing, Share[]> {
  const clock = scheduleOf({ ...search.problem, people: 1 }, host)
  if (!clock) return []
  let shares: [Share, Share | null] = [
    {
      places: hostPlaces,
      operations: host.operations,
      startSeconds: clock.startSeconds,
      endSeconds: host.makespanSeconds,
    },
    null,
  ]
  let unchanged = 0
  for (let turn = 0; unchanged < 2 && turn < patience.around.turns; turn += 1) {
    const [standing, moving] = shares
    const found: Share | null = yield* fitAround(
      search,
      standing,
      moving?.places ?? places,
      moving?.endSeconds ?? Infinity,
      patience,
    )
    if (!found && !moving) return []
    const next = found ?? (moving as Share)
    unchanged = found ? 0 : unchanged + 1
    shares = [next, standing]
  }
  return shares.flatMap((share) => share ?? [])
}

/** The clock of an order that leaves tools to somebody else when they have them; null where a lag breaks. */
function startsAround(
  { problem, prepared }: Search,
  order: FoundOrder,
  taken: ReadonlyMap<number, readonly Span[]>,
): readonly number[] | null {
  const notBefore = new Map<number, number>()
  for (let round = 0; round <= order.operations.length; round += 1) {
    const clock = scheduleOf({ ...problem, people: 1 }, order, notBefore)
    if (!clock) return null
    let isMoved = false
    for (const id of order.operations) {
      const from = itemAt(clock.startSeconds, id)
      const to = from + intAt(prepared.duration, id)
      const span = taken.get(intAt(prepared.tool, id))?.find((one) => one.from < to && from < one.to)
      if (span) {
        notBefore.set(id, span.to)
        isMoved = true
      }
    }
    if (!isMoved) return clock.startSeconds
  }
  return null
}
