import { orderOfPerson } from '@/core/patterns/calmness'
import { visitsOf, type Visit } from '@/core/patterns/calmOrder'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { positionNames } from '@/core/wheel/position'
import { listed } from '@/core/words/listed'
import type { PlanProblem } from './planProblem'
import { wordsOf } from './sayPattern'

/** More detours than this are not said one by one. */
const fewDetours = 3

/** What is said of an order nobody can keep in mind. */
export const byCards = ['No one pattern fits here: go by the cards, one after the other.']

/**
 * One wheel after the other, with little else done in between, in two sentences; null where an order is not like that.
 * Of one person's order.
 */
export function sayDetours(made: PlanProblem, problem: SequenceProblem, schedule: Schedule): string[] | null {
  if (problem.people > 1) return null
  const visits = visitsOf(problem, orderOfPerson(problem, schedule, 0))
  const placeOf = (visit: Visit) => made.places[problem.operations[visit[0] as number]?.place ?? -1]
  const secondsOf = (visit: Visit) =>
    visit.reduce((sum, id) => sum + (problem.operations[id]?.durationSeconds ?? 0), 0)
  const main = new Map<unknown, Visit>()
  for (const visit of visits) {
    const known = main.get(placeOf(visit))
    if (!known || secondsOf(visit) > secondsOf(known)) main.set(placeOf(visit), visit)
  }
  const nameOf = (visit: Visit): string => {
    const place = placeOf(visit)
    return place === undefined || place === 'vehicle' ? 'body' : positionNames[place].toLowerCase()
  }
  const wordsAt = (visit: Visit): string =>
    `${wordsOf(visit.map((id) => made.steps[id]))} at the ${nameOf(visit)}`
  const isMain = (visit: Visit): boolean => visit === main.get(placeOf(visit))
  // Out and back while a wheel dwells, or finishing one on the way to the next.
  const detours = visits.flatMap((visit, at): { words: string; comings: number }[] => {
    const [before, after] = [visits[at - 1], visits[at + 1]]
    if (isMain(visit)) return []
    if (before && after && placeOf(before) === placeOf(after))
      return [{ words: `while the ${nameOf(after)} dwells, ${wordsAt(visit)}`, comings: 2 }]
    const isFinish = visits.slice(0, at).some((one) => placeOf(one) === placeOf(visit) && isMain(one))
    if (!isFinish) return []
    return [{ words: `${after ? `before the ${nameOf(after)}` : 'last'}, ${wordsAt(visit)}`, comings: 1 }]
  })
  const told = detours.reduce((sum, { comings }) => sum + comings, main.size)
  if (told !== visits.length || detours.length > fewDetours) return null
  const walk = [...main.values()].sort((a, b) => visits.indexOf(a) - visits.indexOf(b)).map(nameOf)
  return [
    `One wheel after the other: ${listed(walk)}.`,
    ...(detours.length > 0 ? [`Only ${detours.map(({ words }) => words).join('; ')}.`] : []),
  ]
}
