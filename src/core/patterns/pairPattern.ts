import { itemAt } from '@/core/sequence/problem/packed'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { solveSequence } from '@/core/sequence/solve'
import { byCalmness, calmnessOf, orderOfPerson, type Calmness } from './calmness'
import { calmOrder } from './calmOrder'
import type { Chains } from './chains'
import { clockOf } from './clock'
import type { Pattern } from './pattern'
import { withVehicle } from './patternOrder'

/** Two wheels at a time, in turns, and the next two in the very same turns. */
export interface PairPattern {
  readonly walks: Pattern['walks']
  readonly schedule: Schedule
  readonly calmness: Calmness
}

/** One move at the first or the second wheel of a pair. */
interface Turn {
  readonly wheel: 0 | 1
  readonly move: number
}

/** States looked into for the turns of one pair. */
const effortOfPair = 4000
/** What the turns of a pair may take longer than the shortest for being calm, the calmest first. */
const calmerFor = [1.09, 1.06, 1.04, 1.02, 1]
/** Ways to settle who has a single tool first: few orders are looked into, so there is time for more. */
const maxCases = 600
/** Long over: what is not part of the pair is done for it. */
const longAgo = -100_000

/**
 * The calmest way to work two wheels at a time that ends by a second; null where none does.
 * @param walks ways round; consecutive wheels of a walk are a pair, one that is left over is worked alone
 */
export function pairPattern(
  problem: SequenceProblem,
  chains: Chains,
  walks: readonly Pattern['walks'][],
  bySeconds: number,
): PairPattern | null {
  const patient = clockOf(problem, maxCases)
  const turnsOf = new Map<string, readonly (readonly Turn[])[]>()
  const found = walks.flatMap((own): PairPattern[] => {
    const pair = own[0]?.slice(0, 2) ?? []
    if (pair.length < 2) return []
    const name = pair.join()
    const choices = turnsOf.get(name) ?? turnsAt(problem, chains, pair)
    turnsOf.set(name, choices)
    for (const turns of choices) {
      const orders = withVehicle(
        chains,
        own.map((walk) => orderInTurns(chains, walk, turns)),
      )
      const schedule = patient(orders, bySeconds)
      if (schedule && schedule.makespanSeconds <= bySeconds)
        return [{ walks: own, schedule, calmness: calmnessOf(problem, schedule) }]
    }
    return []
  })
  return (
    found.sort(
      (a, b) => byCalmness(a.calmness, b.calmness) || a.schedule.makespanSeconds - b.schedule.makespanSeconds,
    )[0] ?? null
  )
}

/** From this move on the wheels wait for what is done at the vehicle; the number of moves where none does. */
function movesBeforeVehicle({ moves, operationOf, before, ofVehicle, wheels }: Chains): number {
  const first = moves.findIndex((_, move) =>
    wheels.some((place) =>
      (before[operationOf[place]?.[move] ?? -1] ?? []).some((earlier) => ofVehicle.includes(earlier)),
    ),
  )
  return first < 0 ? moves.length : first
}

/** The turns at one pair of wheels that end first, made calm: the calmest first, each once. */
function turnsAt(problem: SequenceProblem, chains: Chains, pair: readonly number[]): Turn[][] {
  const upTo = movesBeforeVehicle(chains)
  const own = new Map(
    pair.flatMap((place, at) =>
      chains.moves.slice(0, upTo).flatMap((_, move): [number, Turn][] => {
        const id = chains.operationOf[place]?.[move]
        return id === undefined ? [] : [[id, { wheel: at as 0 | 1, move }]]
      }),
    ),
  )
  const done = new Map(
    problem.operations.flatMap(({ id }): [number, number][] =>
      own.has(id) ? [] : [[id, problem.done?.get(id) ?? longAgo]],
    ),
  )
  const lags = problem.lags.filter(({ from, to }) => own.has(from) && own.has(to))
  const alone: SequenceProblem = { ...problem, people: 1, singleTools: [], lags, done }
  const running = solveSequence(alone, effortOfPair)
  let step = running.next()
  while (!step.done) step = running.next()
  const { schedule } = step.value
  if (!schedule) return []
  const clock = clockOf(alone)
  const orders = calmerFor.map((share) => {
    const calm = calmOrder(alone, schedule, clock, schedule.makespanSeconds * share)
    return orderOfPerson(alone, calm.schedule, 0)
  })
  return [...new Map(orders.map((order) => [order.join(), order])).values()].map((order) =>
    order.map((id) => own.get(id) as Turn),
  )
}

/** A walk's operations, pair after pair in the same turns; what waits for the vehicle comes last, wheel by wheel. */
function orderInTurns(chains: Chains, walk: readonly number[], turns: readonly Turn[]): number[] {
  const known = new Set(turns.map(({ move }) => move))
  const upTo = movesBeforeVehicle(chains)
  const order: number[] = []
  const add = (place: number | undefined, move: number): void => {
    const id = place === undefined ? undefined : chains.operationOf[place]?.[move]
    if (id !== undefined) order.push(id)
  }
  for (let at = 0; at < walk.length; at += 2) {
    const pair = [walk[at], walk[at + 1]]
    const next = [0, 0]
    for (const { wheel, move } of turns) {
      // What the first pair does not know is done as it comes up.
      for (let missed = itemAt(next, wheel); missed < move; missed += 1)
        if (!known.has(missed)) add(pair[wheel], missed)
      add(pair[wheel], move)
      next[wheel] = move + 1
    }
    for (const wheel of [0, 1] as const)
      for (let missed = itemAt(next, wheel); missed < upTo; missed += 1)
        if (!known.has(missed)) add(pair[wheel], missed)
  }
  for (const place of walk) for (let move = upTo; move < chains.moves.length; move += 1) add(place, move)
  return order
}
