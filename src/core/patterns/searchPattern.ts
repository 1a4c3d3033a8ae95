import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { byCalmness, calmnessOf, type Calmness } from './calmness'
import type { Chains } from './chains'
import type { Clock } from './clock'
import type { Behind, Pattern } from './pattern'
import { patternOrders } from './patternOrder'

/** A pattern with its clock. */
export interface TimedPattern {
  readonly pattern: Pattern
  readonly schedule: Schedule
  readonly calmness: Calmness
}

/** More comings to a wheel than this nobody keeps in mind. */
const maxBlocks = 5
/** Operations put on a clock for one number of blocks: what is kept of the number before is cut to it. */
const timedAtOnce = 150_000
/** Ways round that are looked into with more than one block. */
const maxWalks = 1
const followings: readonly Behind[] = [0, 1, 2, 'round']
/** Orders that are so much too long are not followed further. */
const hopeless = 1.35

/** Changes of wheel, and one more for every wheel further ahead that one has to think. */
const hardness = ({ pattern, calmness }: TimedPattern): number =>
  pattern.blocks.reduce((sum, { behind }) => sum + (behind === 'round' ? 0 : behind), calmness.wheelChanges)

const shortestFirst = (a: TimedPattern, b: TimedPattern): number =>
  a.schedule.makespanSeconds - b.schedule.makespanSeconds

export interface PatternSearch {
  /** Null where no pattern ends in time. */
  readonly calmest: TimedPattern | null
  /** Of all patterns that were tried; infinite where none keeps all limits. */
  readonly shortestSeconds: number
}

/**
 * The calmest pattern that ends by a second, with as few comings to a wheel as do it.
 * @param walks ways round the wheels; where two work, one for each of them
 * @param ordersOf each person's operations in the order of a pattern
 */
export function searchPattern(
  problem: SequenceProblem,
  chains: Chains,
  walks: readonly Pattern['walks'][],
  clock: Clock,
  bySeconds: number,
  ordersOf: (chains: Chains, pattern: Pattern) => number[][] = patternOrders,
): PatternSearch {
  const known = new Set<string>()
  const time = (pattern: Pattern): TimedPattern[] => {
    const orders = ordersOf(chains, pattern)
    const name = orders.join('/')
    if (known.has(name)) return []
    known.add(name)
    const schedule = clock(orders, bySeconds * hopeless)
    return schedule ? [{ pattern, schedule, calmness: calmnessOf(problem, schedule) }] : []
  }
  // One block is one wheel after the other.
  let begun = walks.map((pair): Pattern => ({ walks: pair, blocks: [{ move: 0, behind: 0 }], turn: [0] }))
  let shortestSeconds = Infinity
  for (let blocks = 1; blocks <= maxBlocks; blocks += 1) {
    const level = begun.flatMap(time).sort(shortestFirst)
    // A block more means as many changes more as there are wheels.
    const [calmest] = level
      .filter(({ schedule }) => schedule.makespanSeconds <= bySeconds)
      .sort((a, b) => hardness(a) - hardness(b) || byCalmness(a.calmness, b.calmness) || shortestFirst(a, b))
    shortestSeconds = Math.min(shortestSeconds, level[0]?.schedule.makespanSeconds ?? Infinity)
    if (calmest) return { calmest, shortestSeconds }
    const each = followings.length * chains.moves.length * (blocks + 1) * problem.operations.length
    const kept = Math.max(2, Math.floor(timedAtOnce / each))
    begun = level
      .slice(0, blocks === 1 ? Math.min(kept, maxWalks) : kept)
      .flatMap(({ pattern }) => splitOnceMore(pattern, chains.moves.length, chains.wheels.length))
  }
  return { calmest: null, shortestSeconds }
}

/** A pattern with one block more: split at every move, the new block anywhere in the turn. */
function splitOnceMore({ walks, blocks, turn }: Pattern, moves: number, wheels: number): Pattern[] {
  const starts = new Set(blocks.map(({ move }) => move))
  const patterns: Pattern[] = []
  for (let move = 1; move < moves; move += 1) {
    if (starts.has(move)) continue
    const at = blocks.filter((block) => block.move < move).length
    const moved = turn.map((index) => (index >= at ? index + 1 : index))
    for (const behind of followings) {
      const split = [...blocks.slice(0, at), { move, behind }, ...blocks.slice(at)]
      if (farthestBehind(split) >= wheels) continue
      for (let place = 0; place <= turn.length; place += 1)
        patterns.push({ walks, blocks: split, turn: [...moved.slice(0, place), at, ...moved.slice(place)] })
    }
  }
  return patterns
}

/** How many wheels behind the first block the last one is worked; as many as there are wheels would be another round. */
function farthestBehind(blocks: Pattern['blocks']): number {
  let [behind, farthest] = [0, 0]
  for (const block of blocks) {
    behind = block.behind === 'round' ? 0 : behind + block.behind
    farthest = Math.max(farthest, behind)
  }
  return farthest
}
