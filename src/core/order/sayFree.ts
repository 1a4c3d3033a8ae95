import { orderOfPerson } from '@/core/patterns/calmness'
import { visitsOf, type Visit } from '@/core/patterns/calmOrder'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem'
import { positionNames } from '@/core/wheel/position'
import { listed } from '@/core/words/listed'
import type { PlanProblem } from './planProblem'
import { wordsOf } from './sayPattern'

/** More detours than this are not said one by one. */
const fewDetours = 2

/** An order that is no pattern, in two sentences at the most: one wheel after the other where little else is done in between. */
export function sayFree(made: PlanProblem, problem: SequenceProblem, schedule: Schedule): string[] {
  const byList = ['No one pattern fits here: go by the cards, one after the other.']
  if (problem.people > 1) return byList
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
    return place === undefined || place === 'vehicle' ? 'the body' : positionNames[place].toLowerCase()
  }
  const detours = visits.flatMap((visit, at) => {
    const [before, after] = [visits[at - 1], visits[at + 1]]
    const isInBetween = before && after && placeOf(before) === placeOf(after)
    const words = wordsOf(visit.map((id) => made.steps[id]))
    return isInBetween && visit !== main.get(placeOf(visit))
      ? [`while the ${nameOf(after)} dwells, ${words} at the ${nameOf(visit)}`]
      : []
  })
  if (detours.length === 0 || detours.length > fewDetours) return byList
  const walk = [...main.values()].sort((a, b) => visits.indexOf(a) - visits.indexOf(b)).map(nameOf)
  return [`One wheel after the other: ${listed(walk)}.`, `Only ${listed(detours)}.`]
}
