import { intAt, itemAt } from '@/core/sequence/problem/packed'
import { LayeredSearch } from '@/core/sequence/layers/layeredSearch'
import { searchProfiles } from '@/core/sequence/search/searchProfiles'
import type { FoundOrder } from '@/core/sequence/problem/foundOrder'
import { quick, type Patience } from './patience'
import { prepare } from '@/core/sequence/problem/prepared'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'
import { silently, type Search, type Standing } from '@/core/sequence/search/search'

/** Orders of a share for one person, the best first, and the places they are for. */
export interface Alternatives {
  readonly places: readonly number[]
  readonly orders: readonly FoundOrder[]
}

/** Some good orders of a share for one person, the best first; shares that are alike are solved once. */
export function* ordersOfShare(
  search: Search,
  places: readonly number[],
  patience: Patience,
  known: Map<string, readonly (readonly number[])[]>,
): Generator<Standing, FoundOrder[]> {
  const { problem, ids } = shareOf(search, places)
  const key = JSON.stringify([problem.operations, problem.lags, problem.walkSeconds])
  let orders = known.get(key)
  if (!orders) {
    const found: number[][] = []
    const effort = patience.effortOfShare(places.length)
    const running = search.solve(problem, effort)
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
          (one, other) => itemAt(schedule.startSeconds, one) - itemAt(schedule.startSeconds, other),
        )
        found.unshift(byStart)
      }
      // One order has to be found, however long it takes.
      if (step.done || (patience === quick && spent > effort && found.length > 0)) break
      yield search.standing()
    }
    orders =
      found.length >= patience.enoughOrders
        ? found
        : [...found, ...(yield* moreOrders(search, problem, patience))]
    known.set(key, orders)
  }
  return orders.flatMap((order) => {
    const operations = order.map((id) => itemAt(ids, id))
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
function* moreOrders(
  search: Search,
  problem: SequenceProblem,
  patience: Patience,
): Generator<Standing, (readonly number[])[]> {
  const layers = new LayeredSearch(prepare(problem))
  const found: FoundOrder[] = []
  let spent = 0
  for (const width of patience.poolWidths)
    for (const manner of searchProfiles) {
      if ((manner.maxWet ?? 0) > problem.places.length) continue
      const pass = yield* silently(layers.pass({ width, ...manner, below: Infinity }), search)
      found.push(...pass.bestByTool.map((one) => one.found))
      search.effortOfShares += layers.effort - spent
      spent = layers.effort
    }
  return found.sort((a, b) => a.makespanSeconds - b.makespanSeconds).map(({ operations }) => operations)
}

const endOf = ({ prepared }: Search, operations: readonly number[], clock: Schedule): number =>
  Math.max(0, ...operations.map((id) => itemAt(clock.startSeconds, id) + intAt(prepared.duration, id)))

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
        const { place, name, durationSeconds, tool } = itemAt(problem.operations, id)
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
