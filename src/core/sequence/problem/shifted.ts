import { itemAt } from './packed'
import type { Schedule, SequenceProblem } from './problem'
import { scheduleOf } from './schedule'

/** Steps in which the second person is sent later, s. */
const laterBySeconds = 30

/**
 * Two people's orders on one clock: each takes a shared tool when their own clock says so, and the second begins as little later
 * as makes that go. It goes at the latest when the first is through, unless an order breaks a lag by itself.
 */
export function shifted(
  problem: SequenceProblem,
  first: readonly number[],
  second: readonly number[],
): Schedule | null {
  const alone = { ...problem, people: 1 }
  const clockOf = (order: readonly number[]): Schedule | null =>
    scheduleOf(alone, { operations: order, people: order.map(() => 0) })
  const [one, other] = [clockOf(first), clockOf(second)]
  if (!one || !other) return null
  const isFirst = new Set(first)
  const operations = [...first, ...second]
  for (let later = 0; later <= one.makespanSeconds + laterBySeconds; later += laterBySeconds) {
    const at = (id: number): number =>
      isFirst.has(id) ? itemAt(one.startSeconds, id) : itemAt(other.startSeconds, id) + later
    const order = [...operations].sort((a, b) => at(a) - at(b) || a - b)
    const both = scheduleOf(problem, {
      operations: order,
      people: order.map((id) => (isFirst.has(id) ? 0 : 1)),
    })
    if (both) return both
  }
  return null
}
