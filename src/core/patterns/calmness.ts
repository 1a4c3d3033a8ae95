import { itemAt } from '@/core/sequence/problem/packed'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'

/** How much an order asks one to keep in mind. */
export interface Calmness {
  /** Times somebody goes to another wheel. */
  readonly wheelChanges: number
  readonly toolChanges: number
}

/** Open operations of one person in the order of time. */
export const orderOfPerson = (problem: SequenceProblem, schedule: Schedule, person: number): number[] =>
  problem.operations
    .filter(({ id }) => schedule.person[id] === person)
    .sort((a, b) => itemAt(schedule.startSeconds, a.id) - itemAt(schedule.startSeconds, b.id) || a.id - b.id)
    .map(({ id }) => id)

/** Counts the changes of a schedule, of all people together. */
export function calmnessOf(problem: SequenceProblem, schedule: Schedule): Calmness {
  let [wheelChanges, toolChanges] = [0, 0]
  for (let person = 0; person < problem.people; person += 1) {
    const order = orderOfPerson(problem, schedule, person)
    order.slice(1).forEach((id, at) => {
      const [from, to] = [problem.operations[itemAt(order, at)], problem.operations[id]]
      if (from?.place !== to?.place) wheelChanges += 1
      if (from?.tool !== to?.tool) toolChanges += 1
    })
  }
  return { wheelChanges, toolChanges }
}

/** Below zero where the first is calmer. */
export const byCalmness = (a: Calmness, b: Calmness): number =>
  a.wheelChanges - b.wheelChanges || a.toolChanges - b.toolChanges
