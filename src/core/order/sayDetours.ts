import { message, sentences, type Message, type Said } from '@/core/message/message'
import { term } from '@/core/message/term'
import { orderOfPerson } from '@/core/patterns/calmness'
import { stopsOf, type WheelStop } from '@/core/patterns/calmOrder'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import type { PlanProblem } from './planProblem'
import { wordsOf } from './sayPattern'

/** More detours than this are not said one by one. */
const fewDetours = 3

/** What is said of an order nobody can keep in mind. */
export const byCards = [message('order.byCards')]

/**
 * One wheel after the other, with little else done in between, in two entries; null where an order is not like that.
 * Of one person's order.
 */
export function sayDetours(made: PlanProblem, problem: SequenceProblem, schedule: Schedule): Said[] | null {
  if (problem.people > 1) return null
  const visits = stopsOf(problem, orderOfPerson(problem, schedule, 0))
  const placeOf = (visit: WheelStop) => made.places[problem.operations[visit[0] as number]?.place ?? -1]
  const secondsOf = (visit: WheelStop) =>
    visit.reduce((sum, id) => sum + (problem.operations[id]?.durationSeconds ?? 0), 0)
  const main = new Map<unknown, WheelStop>()
  for (const visit of visits) {
    const known = main.get(placeOf(visit))
    if (!known || secondsOf(visit) > secondsOf(known)) main.set(placeOf(visit), visit)
  }
  const nameOf = (visit: WheelStop): Message => {
    const place = placeOf(visit)
    return place === undefined || place === 'vehicle' ? message('order.body') : term('wheel', place)
  }
  const movesAt = (visit: WheelStop) => ({
    moves: wordsOf(visit.map((id) => made.steps[id])) ?? '',
    other: nameOf(visit),
  })
  const isMain = (visit: WheelStop): boolean => visit === main.get(placeOf(visit))
  // Out and back while a wheel dwells, or finishing one on the way to the next.
  const detours = visits.flatMap((visit, at): { said: Message; comings: number }[] => {
    const [before, after] = [visits[at - 1], visits[at + 1]]
    if (isMain(visit)) return []
    if (before && after && placeOf(before) === placeOf(after))
      return [
        {
          said: message('order.detours.whileDwells', { place: nameOf(after), ...movesAt(visit) }),
          comings: 2,
        },
      ]
    const isFinish = visits.slice(0, at).some((one) => placeOf(one) === placeOf(visit) && isMain(one))
    if (!isFinish) return []
    return [
      {
        said: after
          ? message('order.detours.before', { place: nameOf(after), ...movesAt(visit) })
          : message('order.detours.last', movesAt(visit)),
        comings: 1,
      },
    ]
  })
  const told = detours.reduce((sum, { comings }) => sum + comings, main.size)
  if (told !== visits.length || detours.length > fewDetours) return null
  const walk = [...main.values()].sort((a, b) => visits.indexOf(a) - visits.indexOf(b)).map(nameOf)
  return [
    message('order.detours.walk', { wheels: walk }),
    ...(detours.length > 0 ? [sentences(...detours.map(({ said }) => said))] : []),
  ]
}
