import { intAt } from '@/core/sequence/problem/packed'
import { Annealer } from '@/core/sequence/merging/anneal'
import { prepare } from '@/core/sequence/problem/prepared'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'

/** Each person's order on one clock; null where a limit breaks or it ends after a second. */
export type Clock = (orders: readonly (readonly number[])[], bySeconds: number) => Schedule | null

/** Ways to settle who has a single tool first, looked into for two people's orders. */
const usualCases = 30

/** Times orders of one or two people, each fixed, against each other. */
export function clockOf(problem: SequenceProblem, maxCases = usualCases): Clock {
  const annealer = new Annealer(prepare(problem))
  return ([first = [], second = []], bySeconds) => {
    const pair = annealer.pair([first, second], Math.ceil(bySeconds) + 1, Infinity, maxCases)
    if (!pair) return null
    const isSecond = new Set(second)
    const operations = [...first, ...second].sort(
      (a, b) => intAt(pair.startSeconds, a) - intAt(pair.startSeconds, b) || a - b,
    )
    return scheduleOf(problem, { operations, people: operations.map((id) => (isSecond.has(id) ? 1 : 0)) })
  }
}
