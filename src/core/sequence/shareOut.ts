import type { Pair } from './anneal'
import { LayeredSearch, type FoundOrder } from './layeredSearch'
import { scheduleOf } from './schedule'
import { manners } from './manners'
import { prepare } from './prepared'
import type { Operation, Schedule, SequenceProblem } from './problem'
import type { Span } from './spans'
import { silently, solveSequence, type Search, type Standing } from './solve'

/** Ways to share the places that are looked into, the evenest first. */
const mostShares = 3
/** States looked into for one share, per place of it. */
const effortPerPlace = 1_500
/** Passes that look for more good orders of a share. */
const poolWidths = [40, 100]
/** The same where an answer is wanted in a moment. */
const quickEffort = 2_000
const quickWidths = [12]
const quickCases = 150
/** Width of the search that puts one share around the other. */
const aroundWidth = 20
/** Turns of putting one share around the other. */
const mostTurns = 4
/** With more places the first share is put around the other only after all shares were merged: it takes its time. */
const fewPlaces = 4
/** Pairs of one way to share. */
const mostPairs = 5

/** Orders of a share for one person, the best first, and the places they are for. */
interface Alternatives {
  readonly places: readonly number[]
  readonly orders: readonly FoundOrder[]
}

/**
 * Pairs of orders for two, made one after the other: the places are shared out, each share is put in order for one person alone,
 * and the two are put on one clock, first as they are, then one around the other.
 */
export function* pairsOfShares(search: Search): Generator<Standing | Pair, void> {
  const { layers } = search
  const places = layers.places.flatMap(({ start }, place) => (start.remainingCount > 0 ? [place] : []))
  const known = new Map<string, readonly (readonly number[])[]>()
  const tried: (readonly [Alternatives, Alternatives])[] = []
  for (const [first, second] of evenShares(search, places).slice(0, search.isQuick ? 1 : mostShares)) {
    const ours = { places: first, orders: yield* ordersOfShare(search, first, known) }
    const theirs = { places: second, orders: yield* ordersOfShare(search, second, known) }
    tried.push([ours, theirs])
    yield* goodPairs(search, ours, theirs)
    if (tried.length !== 1 || search.isQuick || places.length > fewPlaces) continue
    const around = yield* oneAroundTheOther(search, ours, theirs)
    if (around) yield around
  }
  for (const [ours, theirs] of search.isQuick && search.best ? [] : tried) {
    const around = yield* oneAroundTheOther(search, theirs, ours)
    if (around) yield around
  }
  if (search.best) return
  // Nothing merges, or there is one place only: one person does it all, the other looks on.
  for (const order of yield* ordersOfShare(search, places, known)) {
    const pair = search.annealer.pair([order.operations, []], Infinity)
    if (pair) yield pair
  }
}

/** For each good order of ours the one of theirs that goes best with it; the shortest first. */
function goodPairs({ annealer, isQuick }: Search, ours: Alternatives, theirs: Alternatives): Pair[] {
  return ours.orders
    .flatMap((one) => {
      let best: Pair | null = null
      for (const other of theirs.orders) {
        const below: number = best?.makespanSeconds ?? Infinity
        if (other.makespanSeconds >= below) continue
        const most = isQuick ? quickCases : undefined
        best = annealer.pair([one.operations, other.operations], below, Infinity, most) ?? best
      }
      return best ? [best] : []
    })
    .sort((a, b) => a.makespanSeconds - b.makespanSeconds)
    .slice(0, mostPairs)
}

function* oneAroundTheOther(
  search: Search,
  host: Alternatives,
  guest: Alternatives,
): Generator<Standing, Pair | null> {
  const [order] = host.orders
  const shares = order ? yield* fitIn(search, order, host.places, guest.places) : []
  const [one, other] = shares
  return one && other ? search.annealer.pair([one.operations, other.operations], Infinity) : null
}

/** Offers a pair as one order by time. */
export function offerPair(search: Search, { orders, startSeconds, makespanSeconds }: Pair): boolean {
  const entries = orders
    .flatMap((order, person) => order.map((id) => ({ id, person, start: startSeconds[id] as number })))
    .sort((a, b) => a.start - b.start || a.person - b.person)
  return search.offer({
    operations: entries.map(({ id }) => id),
    people: entries.map(({ person }) => person),
    makespanSeconds,
  })
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
    const tool = prepared.tool[id] as number
    if (prepared.isSingle[tool] !== 1) continue
    const from = startSeconds[id] as number
    taken.set(tool, [...(taken.get(tool) ?? []), { from, to: from + (prepared.duration[id] as number) }])
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
): Generator<Standing, Share | null> {
  const taken = takenBy(search, host)
  let best: Share | null = null
  for (const manner of manners) {
    if ((manner.mostWet ?? 0) > places.length) continue
    const pass = search.alone.pass({
      width: aroundWidth,
      ...manner,
      onlyPlaces: places,
      below: best?.endSeconds ?? below,
      taken,
    })
    const { best: order } = yield* silently(pass, search)
    const startSeconds = order && startsAround(search, order, taken)
    if (!order || !startSeconds) continue
    const endSeconds = Math.max(
      ...order.operations.map(
        (id) => (startSeconds[id] as number) + (search.prepared.duration[id] as number),
      ),
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
  for (let turn = 0; unchanged < 2 && turn < mostTurns; turn += 1) {
    const [standing, moving] = shares
    const found: Share | null = yield* fitAround(
      search,
      standing,
      moving?.places ?? places,
      moving?.endSeconds ?? Infinity,
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
      const from = clock.startSeconds[id] as number
      const to = from + (prepared.duration[id] as number)
      const span = taken.get(prepared.tool[id] as number)?.find((one) => one.from < to && from < one.to)
      if (span) {
        notBefore.set(id, span.to)
        isMoved = true
      }
    }
    if (!isMoved) return clock.startSeconds
  }
  return null
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

/** Some good orders of a share for one person, the best first; shares that are alike are solved once. */
function* ordersOfShare(
  search: Search,
  places: readonly number[],
  known: Map<string, readonly (readonly number[])[]>,
): Generator<Standing, FoundOrder[]> {
  const { problem, ids } = shareOf(search, places)
  const key = JSON.stringify([problem.operations, problem.lags, problem.walkSeconds])
  let orders = known.get(key)
  if (!orders) {
    const found: number[][] = []
    const running = solveSequence(problem, search.isQuick ? quickEffort : effortPerPlace * places.length)
    let last: Schedule | null = null
    let spent = 0
    for (let step = running.next(); ; step = running.next()) {
      search.effortOfShares += step.value.effort - spent
      spent = step.value.effort
      const { schedule } = step.value
      if (schedule && schedule !== last) {
        last = schedule
        const byStart = problem.operations.map(({ id }) => id)
        byStart.sort(
          (one, other) => (schedule.startSeconds[one] as number) - (schedule.startSeconds[other] as number),
        )
        found.unshift(byStart)
      }
      if (step.done || (search.isQuick && spent > quickEffort && found.length > 0)) break
      yield search.standing()
    }
    orders = search.isQuick && found.length > 1 ? found : [...found, ...(yield* moreOrders(search, problem))]
    known.set(key, orders)
  }
  return orders.flatMap((order) => {
    const operations = order.map((id) => ids[id] as number)
    const clock = scheduleOf(
      { ...search.problem, people: 1 },
      { operations, people: operations.map(() => 0) },
    )
    return clock
      ? [{ operations, people: operations.map(() => 0), makespanSeconds: endOf(search, operations, clock) }]
      : []
  })
}

/** Good orders of a share by narrow searches of every manner, for the one that is best alone may not be the one that fits the other. */
function* moreOrders(search: Search, problem: SequenceProblem): Generator<Standing, (readonly number[])[]> {
  const layers = new LayeredSearch(prepare(problem))
  const found: FoundOrder[] = []
  let spent = 0
  for (const width of search.isQuick ? quickWidths : poolWidths)
    for (const manner of manners) {
      if ((manner.mostWet ?? 0) > problem.places.length) continue
      const pass = yield* silently(layers.pass({ width, ...manner, below: Infinity }), search)
      found.push(...pass.bestByTool.map((one) => one.found))
      search.effortOfShares += layers.effort - spent
      spent = layers.effort
    }
  return found.sort((a, b) => a.makespanSeconds - b.makespanSeconds).map(({ operations }) => operations)
}

const endOf = ({ prepared }: Search, operations: readonly number[], clock: Schedule): number =>
  Math.max(
    0,
    ...operations.map((id) => (clock.startSeconds[id] as number) + (prepared.duration[id] as number)),
  )

/** The work at some places as a problem of its own for one person, and what its operations are called in the whole. */
function shareOf(
  { problem }: Search,
  places: readonly number[],
): { problem: SequenceProblem; ids: readonly number[] } {
  const ids = problem.operations.flatMap(({ id, place }) =>
    places.includes(place) && !problem.done?.has(id) ? [id] : [],
  )
  const local = new Map(ids.map((id, at) => [id, at]))
  return {
    ids,
    problem: {
      places: places.map((place) => problem.places[place] as string),
      operations: ids.map((id, at) => {
        const { place, name, durationSeconds, tool } = problem.operations[id] as Operation
        return { id: at, place: places.indexOf(place), name, durationSeconds, tool }
      }),
      lags: problem.lags.flatMap((lag) => {
        const from = local.get(lag.from)
        const to = local.get(lag.to)
        return from === undefined || to === undefined ? [] : [{ ...lag, from, to }]
      }),
      people: 1,
      peoplePerPlace: 1,
      singleTools: [],
      walkSeconds: places.map((from) => places.map((to) => problem.walkSeconds[from]?.[to] ?? 0)),
      toolChangeSeconds: problem.toolChangeSeconds,
    },
  }
}
