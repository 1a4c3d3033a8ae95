import { message, sentences, type Message, type Said, type Sayable } from '@/core/message/message'
import { term } from '@/core/message/term'
import type { Chains } from '@/core/patterns/chains'
import type { Pattern } from '@/core/patterns/pattern'
import type { PlanProblem } from './planProblem'
import { exceptionOf } from './sayPattern'

/** How two wheels at a time are worked, in two entries. */
export function sayPairs(made: PlanProblem, chains: Chains, walks: Pattern['walks']): Said[] {
  const nameOf = (place: number): Message => {
    const position = made.places[place]
    return position === undefined || position === 'vehicle' ? message('order.body') : term('wheel', position)
  }
  const pairsOf = (walk: readonly number[]): Sayable => {
    const pairs = Array.from({ length: Math.ceil(walk.length / 2) }, (_, at) =>
      walk.slice(2 * at, 2 * at + 2).map(nameOf),
    )
    return pairs
      .slice(1)
      .reduce<Sayable>((first, next) => message('order.then', { first, next }), pairs[0] ?? '')
  }
  return [
    walks.length === 1
      ? message('order.pairs.alone', { pairs: pairsOf(walks[0] ?? []) })
      : message('order.pairs.both', { pairs: pairsOf(walks[0] ?? []), others: pairsOf(walks[1] ?? []) }),
    sentences(message('order.pairs.turns'), exceptionOf(made, chains)),
  ]
}
