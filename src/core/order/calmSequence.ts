import { message, sentences, type Said } from '@/core/message/message'
import { terms } from '@/core/message/term'
import { calmnessOf, orderOfPerson } from '@/core/patterns/calmness'
import { byRole } from '@/core/patterns/byRole'
import { calmOrder, stopsOf } from '@/core/patterns/calmOrder'
import { chainsOf, type Chains } from '@/core/patterns/chains'
import { clockOf, type Clock } from '@/core/patterns/clock'
import { pairPattern } from '@/core/patterns/pairPattern'
import { searchPattern } from '@/core/patterns/searchPattern'
import type { Act } from '@/core/acts/act'
import type { OrderPattern } from '@/core/plan/plan'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { moveOf } from './moves'
import type { PlanProblem } from './planProblem'
import { byCards, sayDetours } from './sayDetours'
import { sayPairs } from './sayPairs'
import { sayPattern, sayRoles } from './sayPattern'
import { walksOf } from './walks'

/**
 * What a job in a pattern may take longer than in the shortest order that is known, all its minutes together. A change of wheel costs
 * a person half a minute of attention. House estimate.
 */
export const calmShare = 1.12
/** Where the shortest order changes wheel so much more often, it may take longer still. House estimates. */
const restlessTimes = 4
export const restlessShare = 1.2

/** Where there is nothing to keep in mind fewer changes of wheel are worth less than that. */
const freeShare = 1.03

/** An order that can be kept in mind, and what is said of it. */
export interface CalmSequence {
  readonly schedule: Schedule
  readonly pattern: OrderPattern
}

/** A schedule and its sentences. */
interface SaidOrder {
  readonly schedule: Schedule
  readonly sentences: readonly Said[]
}

/**
 * The calmest order that takes little longer than the shortest known (`calmShare`, `restlessShare`): the same moves at every wheel where that goes, two wheels at a
 * time, or one after the other with little else in between; else the shortest order with its comings to a wheel joined.
 * @param problem the steps as operations, with brakes that cool and the like
 * @param aroundSeconds what comes before the first wheel and after the last
 * @param plainSeconds what one wheel after the other takes: nobody keeps an order in mind that takes longer
 */
export function calmSequence(
  made: PlanProblem,
  problem: SequenceProblem,
  shortest: Schedule,
  aroundSeconds = 0,
  plainSeconds = Infinity,
): CalmSequence {
  const within = (share: number): number =>
    Math.min(plainSeconds, Math.floor((aroundSeconds + shortest.makespanSeconds) * share) - aroundSeconds)
  const clock = clockOf(problem)
  const changesOf = (schedule: Schedule): number => calmnessOf(problem, schedule).wheelChanges
  const usual = patternsOf(made, problem, clock, within(calmShare))
  const fewest = Math.min(...usual.said.map(({ schedule }) => changesOf(schedule)), Infinity)
  // Of an order that goes round once nothing calmer can be found.
  const wheels = new Set(made.steps.flatMap(({ corner }) => corner ?? [])).size
  const mayBeRestless = fewest >= wheels && changesOf(shortest) > restlessTimes * (wheels - 1)
  const longer = mayBeRestless ? patternsOf(made, problem, clock, within(restlessShare)) : usual
  const isRestless =
    longer !== usual &&
    longer.said.some(({ schedule }) => changesOf(shortest) > restlessTimes * changesOf(schedule))
  const { said, wouldTakeSeconds } = isRestless ? longer : usual
  const bySeconds = within(isRestless ? restlessShare : calmShare)
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
  ].flatMap((schedule): SaidOrder[] => {
    const told = sayDetours(made, problem, schedule)
    return told ? [{ schedule, sentences: told }] : []
  })
  const [calmest] = [...said, ...detours].sort((a, b) => changesOf(a.schedule) - changesOf(b.schedule))
  if (calmest) {
    const { schedule, sentences: told } = calmest
    return { schedule, pattern: { kind: 'pattern', sentences: told, because: null, ...about(schedule) } }
  }
  const moreSeconds = wouldTakeSeconds - shortest.makespanSeconds
  const because = Number.isFinite(moreSeconds)
    ? message('order.because.longer', { time: { seconds: Math.max(60, moreSeconds) } })
    : message('order.because.none')
  const free = calmOrder(problem, shortest, clock, within(freeShare)).schedule
  return {
    schedule: free,
    pattern: { kind: 'free', sentences: byCards, because, ...about(free) },
  }
}

/** Pairs that fall apart into single wheels are told as what they are. */
function sayPairsOf(
  made: PlanProblem,
  problem: SequenceProblem,
  chains: Chains,
  { schedule, walks }: NonNullable<ReturnType<typeof pairPattern>>,
): Said[] {
  const { wheelChanges } = calmnessOf(problem, schedule)
  if (problem.people > 1 || wheelChanges >= chains.wheels.length) return sayPairs(made, chains, walks)
  const way = stopsOf(problem, orderOfPerson(problem, schedule, 0))
    .map(([id]) => made.steps[id ?? -1]?.corner)
    .flatMap((corner) => corner ?? [])
  return [
    sentences(message('order.detours.walk', { wheels: terms('wheel', way) }), message('order.finishEach')),
  ]
}

/** What is done with gun and bottle; the rest is done with brush and cloth. */
const atTheGun: readonly Act[] = ['preRinse', 'spray', 'reMist', 'rinse']

/** One at the gun, one at the brushes, on one way round. */
function rolesOf(
  made: PlanProblem,
  problem: SequenceProblem,
  chains: Chains,
  clock: Clock,
  bySeconds: number,
): SaidOrder | null {
  const isGuns = (id: number): boolean => atTheGun.includes(made.steps[id]?.act ?? 'getReady')
  const walks = walksOf(made.places, 1)
  const { calmest } = searchPattern(
    problem,
    chains,
    walks.map(({ walks: own }) => own),
    clock,
    bySeconds,
    byRole(isGuns),
  )
  const walk = calmest && walks.find(({ walks: own }) => own === calmest.pattern.walks)
  return calmest && walk
    ? { schedule: calmest.schedule, sentences: sayRoles(made, chains, walk, calmest.pattern) }
    : null
}

/** The same moves at every wheel, else two wheels at a time; and what the shortest of them takes, in time or not. */
function patternsOf(
  made: PlanProblem,
  problem: SequenceProblem,
  clock: Clock,
  bySeconds: number,
): { said: SaidOrder[]; wouldTakeSeconds: number } {
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
    const told = sayPattern(made, chains, walk, calmest.pattern)
    return { said: [{ schedule: calmest.schedule, sentences: told }], wouldTakeSeconds: shortestSeconds }
  }
  const inPairs = pairPattern(problem, chains, ways, bySeconds)
  if (inPairs)
    return {
      said: [{ schedule: inPairs.schedule, sentences: sayPairsOf(made, problem, chains, inPairs) }],
      wouldTakeSeconds: shortestSeconds,
    }
  const inRoles = problem.people > 1 ? rolesOf(made, problem, chains, clock, bySeconds) : null
  return { said: inRoles ? [inRoles] : [], wouldTakeSeconds: shortestSeconds }
}
