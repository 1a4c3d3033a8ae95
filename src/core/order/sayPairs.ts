import type { Chains } from '@/core/patterns/chains'
import type { Pattern } from '@/core/patterns/pattern'
import { positionNames } from '@/core/wheel/position'
import { listed } from '@/core/words/listed'
import type { PlanProblem } from './planProblem'
import { exceptionOf } from './sayPattern'

/** How two wheels at a time are worked, in two sentences at the most. */
export function sayPairs(made: PlanProblem, chains: Chains, walks: Pattern['walks']): string[] {
  const nameOf = (place: number): string => {
    const position = made.places[place]
    return position === undefined || position === 'vehicle'
      ? 'the body'
      : positionNames[position].toLowerCase()
  }
  const pairsOf = (walk: readonly number[]): string =>
    Array.from({ length: Math.ceil(walk.length / 2) }, (_, at) =>
      listed(walk.slice(2 * at, 2 * at + 2).map(nameOf)),
    ).join(', then ')
  const only = exceptionOf(made, chains)
  const way =
    walks.length === 1
      ? `Two wheels at a time: ${pairsOf(walks[0] ?? [])}`
      : `Each takes two wheels at a time: one ${pairsOf(walks[0] ?? [])}, the other ${pairsOf(walks[1] ?? [])}`
  return [
    `${way}.`,
    `While one dwells you work at the other, in the same turns every time${only === '' ? '' : `; ${only}`}.`,
  ]
}
