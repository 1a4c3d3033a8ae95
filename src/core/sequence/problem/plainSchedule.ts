import type { Schedule, SequenceProblem } from './problem'
import { scheduleOf } from './schedule'
import { shifted } from './shifted'

/** One wheel finished before the next in the order of the steps; two people take half of the wheels each. */
export function plainSchedule(problem: SequenceProblem): Schedule | null {
  const operations = problem.operations.flatMap(({ id }) => (problem.done?.has(id) ? [] : [id]))
  const half = Math.ceil(problem.places.length / 2)
  const isFirst = (id: number): boolean => (problem.operations[id]?.place ?? 0) < half
  const both =
    problem.people > 1
      ? shifted(
          problem,
          operations.filter(isFirst),
          operations.filter((id) => !isFirst(id)),
        )
      : null
  return both ?? scheduleOf(problem, { operations, people: operations.map(() => 0) })
}
