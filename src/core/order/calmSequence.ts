import { calmnessOf } from '@/core/patterns/calmness'
import { calmOrder } from '@/core/patterns/calmOrder'
import { chainsOf } from '@/core/patterns/chains'
import { clockOf } from '@/core/patterns/clock'
import { pairPattern } from '@/core/patterns/pairPattern'
import { searchPattern } from '@/core/patterns/searchPattern'
import type { OrderPattern } from '@/core/plan/plan'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem'
import { moveOf } from './moves'
import type { PlanProblem } from './planProblem'
import { sayFree } from './sayFree'
import { sayPairs } from './sayPairs'
import { sayPattern } from './sayPattern'
import { walksOf } from './walks'

/** What a pattern may take longer than the shortest order that is known. */
export const calmShare = 1.06

/** An order that can be kept in mind, and what is said of it. */
export interface CalmSequence {
  readonly schedule: Schedule
  readonly pattern: OrderPattern
}

/**
 * The calmest order within six hundredths of the shortest known: the same moves at every wheel where that goes, else the shortest
 * order with its comings to a wheel joined.
 * @param problem the steps as operations, with brakes that cool and the like
 */
export function calmSequence(made: PlanProblem, problem: SequenceProblem, shortest: Schedule): CalmSequence {
  const vehicle = made.places.indexOf('vehicle')
  const moves = problem.operations.map(({ id, name }) => {
    const step = made.steps[id]
    return step ? moveOf(step) : name
  })
  const chains = chainsOf(problem, moves, vehicle < 0 ? null : vehicle)
  const clock = clockOf(problem)
  const bySeconds = Math.floor(shortest.makespanSeconds * calmShare)
  const walks = walksOf(made.places, problem.people)
  const ways = walks.map(({ walks: own }) => own)
  const searched = searchPattern(problem, chains, ways, clock, bySeconds)
  const shortestWheelChanges = calmnessOf(problem, shortest).wheelChanges
  const about = ({ makespanSeconds }: Schedule, wheelChanges: number) => ({
    wheelChanges,
    seconds: makespanSeconds,
    // Two people's patterns are shorter now and then than what the search had found.
    shortestSeconds: Math.min(makespanSeconds, shortest.makespanSeconds),
    shortestWheelChanges: makespanSeconds < shortest.makespanSeconds ? wheelChanges : shortestWheelChanges,
  })
  const found = searched.calmest
  const walk = found && walks.find(({ walks: own }) => own === found.pattern.walks)
  if (found && walk)
    return {
      schedule: found.schedule,
      pattern: {
        kind: 'pattern',
        sentences: sayPattern(made, chains, walk, found.pattern),
        because: null,
        ...about(found.schedule, found.calmness.wheelChanges),
      },
    }
  const inPairs = pairPattern(problem, chains, ways, bySeconds)
  if (inPairs)
    return {
      schedule: inPairs.schedule,
      pattern: {
        kind: 'pattern',
        sentences: sayPairs(made, chains, inPairs.walks),
        because: null,
        ...about(inPairs.schedule, inPairs.calmness.wheelChanges),
      },
    }
  const calm = calmOrder(problem, shortest, clock, bySeconds)
  const longer = searched.shortestSeconds - shortest.makespanSeconds
  return {
    schedule: calm.schedule,
    pattern: {
      kind: 'free',
      sentences: sayFree(made, problem, calm.schedule),
      because: Number.isFinite(longer)
        ? `The same moves at every wheel would take ${Math.max(1, Math.round(longer / 60))} min longer.`
        : 'No order with the same moves at every wheel comes near it.',
      ...about(calm.schedule, calm.calmness.wheelChanges),
    },
  }
}
