import { calmnessOf } from '@/core/patterns/calmness'
import { calmOrder } from '@/core/patterns/calmOrder'
import { chainsOf } from '@/core/patterns/chains'
import { clockOf, type Clock } from '@/core/patterns/clock'
import { pairPattern } from '@/core/patterns/pairPattern'
import { searchPattern } from '@/core/patterns/searchPattern'
import type { OrderPattern } from '@/core/plan/plan'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { moveOf } from './moves'
import type { PlanProblem } from './planProblem'
import { byCards, sayDetours } from './sayDetours'
import { sayPairs } from './sayPairs'
import { sayPattern } from './sayPattern'
import { walksOf } from './walks'

/** What a job in a pattern may take longer than in the shortest order that is known, all its minutes together. */
export const calmShare = 1.06

/** Where there is nothing to keep in mind fewer changes of wheel are worth less than that. */
const freeShare = 1.03

/** An order that can be kept in mind, and what is said of it. */
export interface CalmSequence {
  readonly schedule: Schedule
  readonly pattern: OrderPattern
}

interface Said {
  readonly schedule: Schedule
  readonly sentences: readonly string[]
}

/**
 * The calmest order within six hundredths of the shortest known: the same moves at every wheel where that goes, two wheels at a
 * time, or one after the other with little else in between; else the shortest order with its comings to a wheel joined.
 * @param problem the steps as operations, with brakes that cool and the like
 * @param aroundSeconds what comes before the first wheel and after the last
 */
export function calmSequence(
  made: PlanProblem,
  problem: SequenceProblem,
  shortest: Schedule,
  aroundSeconds = 0,
): CalmSequence {
  const within = (share: number): number =>
    Math.floor((aroundSeconds + shortest.makespanSeconds) * share) - aroundSeconds
  const bySeconds = within(calmShare)
  const clock = clockOf(problem)
  const { said, wouldTakeSeconds } = patternsOf(made, problem, clock, bySeconds)
  const changesOf = (schedule: Schedule): number => calmnessOf(problem, schedule).wheelChanges
  const about = (schedule: Schedule) => {
    const isShorter = schedule.makespanSeconds < shortest.makespanSeconds
    return {
      wheelChanges: changesOf(schedule),
      seconds: schedule.makespanSeconds,
      // Two people's patterns are shorter now and then than what the search had found.
      shortestSeconds: Math.min(schedule.makespanSeconds, shortest.makespanSeconds),
      shortestWheelChanges: changesOf(isShorter ? schedule : shortest),
    }
  }
  const detours = [
    calmOrder(problem, shortest, clock, bySeconds).schedule,
    ...said.map(({ schedule }) => calmOrder(problem, schedule, clock, bySeconds).schedule),
  ].flatMap((schedule): Said[] => {
    const sentences = sayDetours(made, problem, schedule)
    return sentences ? [{ schedule, sentences }] : []
  })
  const [calmest] = [...said, ...detours].sort((a, b) => changesOf(a.schedule) - changesOf(b.schedule))
  if (calmest) {
    const { schedule, sentences } = calmest
    return { schedule, pattern: { kind: 'pattern', sentences, because: null, ...about(schedule) } }
  }
  const longer = wouldTakeSeconds - shortest.makespanSeconds
  const because = Number.isFinite(longer)
    ? `The same moves at every wheel would take ${Math.max(1, Math.round(longer / 60))} min longer.`
    : 'No order with the same moves at every wheel comes near it.'
  const free = calmOrder(problem, shortest, clock, within(freeShare)).schedule
  return {
    schedule: free,
    pattern: { kind: 'free', sentences: byCards, because, ...about(free) },
  }
}

/** The same moves at every wheel, else two wheels at a time; and what the shortest of them takes, in time or not. */
function patternsOf(
  made: PlanProblem,
  problem: SequenceProblem,
  clock: Clock,
  bySeconds: number,
): { said: Said[]; wouldTakeSeconds: number } {
  const vehicle = made.places.indexOf('vehicle')
  const moves = problem.operations.map(({ id, name }) => {
    const step = made.steps[id]
    return step ? moveOf(step) : name
  })
  const chains = chainsOf(problem, moves, vehicle < 0 ? null : vehicle)
  const walks = walksOf(made.places, problem.people)
  const ways = walks.map(({ walks: own }) => own)
  const { calmest, shortestSeconds } = searchPattern(problem, chains, ways, clock, bySeconds)
  const walk = calmest && walks.find(({ walks: own }) => own === calmest.pattern.walks)
  if (calmest && walk) {
    const sentences = sayPattern(made, chains, walk, calmest.pattern)
    return { said: [{ schedule: calmest.schedule, sentences }], wouldTakeSeconds: shortestSeconds }
  }
  const inPairs = pairPattern(problem, chains, ways, bySeconds)
  return {
    said: inPairs ? [{ schedule: inPairs.schedule, sentences: sayPairs(made, chains, inPairs.walks) }] : [],
    wouldTakeSeconds: shortestSeconds,
  }
}
