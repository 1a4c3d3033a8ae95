import { itemAt } from '@/core/sequence/problem/packed'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { byCalmness, calmnessOf, orderOfPerson, type Calmness } from './calmness'
import type { Clock } from './clock'

/** An order and how calm it is. */
export interface CalmOrder {
  readonly schedule: Schedule
  readonly calmness: Calmness
}

/** What one person does at one wheel before going on, as operations. */
export type WheelStop = readonly number[]

/**
 * The calmest that an order becomes by moving work together, as long as it ends by a second: comings to the same wheel are
 * joined, the change that helps most first.
 */
export function calmOrder(
  problem: SequenceProblem,
  from: Schedule,
  clock: Clock,
  bySeconds: number,
): CalmOrder {
  let best: CalmOrder = { schedule: from, calmness: calmnessOf(problem, from) }
  for (;;) {
    const orders = Array.from({ length: problem.people }, (_, person) =>
      orderOfPerson(problem, best.schedule, person),
    )
    let better: CalmOrder | null = null
    for (const changed of joined(problem, orders)) {
      const schedule = clock(changed, bySeconds)
      if (!schedule || schedule.makespanSeconds > bySeconds) continue
      const calmness = calmnessOf(problem, schedule)
      const against: CalmOrder = better ?? best
      const difference = byCalmness(calmness, against.calmness)
      const isShorter = schedule.makespanSeconds < against.schedule.makespanSeconds
      if (difference < 0 || (better && difference === 0 && isShorter)) better = { schedule, calmness }
    }
    if (!better) return best
    best = better
  }
}

/** An order as comings to wheels. */
export function stopsOf(problem: SequenceProblem, order: readonly number[]): WheelStop[] {
  const visits: number[][] = []
  for (const id of order) {
    const last = visits.at(-1)
    const isThere = last && problem.operations[itemAt(last, 0)]?.place === problem.operations[id]?.place
    if (isThere) last.push(id)
    else visits.push([id])
  }
  return visits
}

/** Orders in which two comings of a person to a wheel are one, at the place of the earlier or of the later. */
function* joined(
  problem: SequenceProblem,
  orders: readonly (readonly number[])[],
): Generator<readonly (readonly number[])[]> {
  const placeOf = (visit: WheelStop | undefined) => problem.operations[visit?.[0] ?? -1]?.place
  for (const [person, order] of orders.entries()) {
    const visits = stopsOf(problem, order)
    for (let at = 0; at < visits.length; at += 1) {
      const to = visits.findIndex((visit, index) => index > at && placeOf(visit) === placeOf(visits[at]))
      if (to < 0) continue
      const [earlier, between, later] = [
        visits[at] as WheelStop,
        visits.slice(at + 1, to),
        visits[to] as WheelStop,
      ]
      for (const middle of [
        [earlier, later, ...between],
        [...between, earlier, later],
      ])
        yield orders.map((own, index) =>
          index === person ? [...visits.slice(0, at), ...middle, ...visits.slice(to + 1)].flat() : own,
        )
    }
  }
}
