import { intAt, itemAt } from '@/core/sequence/problem/packed'
import { Draws } from '@/core/sequence/problem/seededRandom'
import { Merger } from './merge'
import type { Prepared } from '@/core/sequence/problem/prepared'
import { log, power } from '@/core/quantity/portableMath'

/** Two people's orders with their clock. */
export interface Pair {
  readonly orders: readonly [readonly number[], readonly number[]]
  readonly startSeconds: Int32Array
  readonly makespanSeconds: number
  /** The end of the last, and a share of the end of the other: who is done early can take work over. */
  readonly cost: number
}

/** How far an operation is moved within an order, in operations, and around its own time in the other's. */
const farthest = { own: 16, other: 8 }
/** Of a hundred moves so many give work to the other person. */
const movesAcross = 30
/** What the end of the one who is done first counts, against that of the last. */
const earlierCounts = 0.5
const longestBlock = 4
/** So many looks of the merger take about as long as one state of the layered search. */
const looksPerState = 60
/** Ways to settle who has the gun first, looked into for a pair at the beginning and for one after a small move. */
const patientCases = 1500
const quickCases = 40

export interface AnnealOptions {
  readonly tries: number
  /** What a move may cost at first and at last, as a share of the whole time. */
  readonly hot: number
  readonly cold: number
  readonly seed: number
}

/** Simulated annealing over two people's orders: some operations move within an order or across, and the merger says what it costs. */
export class Annealer {
  private readonly merger: Merger
  /** 1 where one operation has to come before another, by first × count + second. */
  private readonly isBefore: Uint8Array

  constructor(private readonly prepared: Prepared) {
    this.merger = new Merger(prepared)
    const { count, after } = prepared
    this.isBefore = new Uint8Array(count * count)
    const visit = (root: number, id: number): void => {
      for (const { other } of after[id] ?? []) {
        if (this.isBefore[root * count + other]) continue
        this.isBefore[root * count + other] = 1
        visit(root, other)
      }
    }
    for (let id = 0; id < count; id += 1) visit(id, id)
  }

  /** States looked into, on the scale of the layered search. */
  get effort(): number {
    return Math.round(this.merger.looks / looksPerState)
  }

  /** Two orders on one clock; null where that cannot be, or not below a makespan and a cost. */
  pair(
    orders: Pair['orders'],
    belowSeconds: number,
    belowCost = Infinity,
    maxCases = patientCases,
  ): Pair | null {
    const startSeconds = this.merger.merge(orders[0], orders[1], belowSeconds, maxCases)
    const made = startSeconds && this.pairAt(orders, startSeconds)
    return made && made.cost < belowCost ? made : null
  }

  /** A pair whose clock is known. */
  pairAt(orders: Pair['orders'], startSeconds: Int32Array): Pair {
    const ends = orders.map((order) => {
      const last = order.at(-1)
      return last === undefined ? 0 : intAt(startSeconds, last) + intAt(this.prepared.duration, last)
    })
    const makespanSeconds = Math.max(...ends)
    const cost = makespanSeconds + earlierCounts * Math.min(...ends)
    return { orders, startSeconds, makespanSeconds, cost }
  }

  /** Yields every pair that ends earlier than all before, and nothing every so often so that the caller may stop. */
  *anneal(from: Pair, { tries, hot, cold, seed }: AnnealOptions): Generator<Pair | null, void> {
    const draws = new Draws(seed)
    let here = from
    let least = from.makespanSeconds
    for (let at = 0; at < tries; at += 1) {
      if (at % 256 === 255) yield null
      const orders = this.moved(here, draws)
      if (!orders) continue
      const heat = from.makespanSeconds * hot * power(cold / hot, at / tries)
      const mayCost = -heat * log(draws.share())
      const maxCost = here.cost + mayCost
      // What the other end may fall to is not known before; a tenth is allowed for.
      const others = 0.9 * (here.cost - here.makespanSeconds)
      const next = this.pair(orders, Math.ceil(maxCost - others) + 1, maxCost, quickCases)
      if (!next) continue
      here = next
      if (next.makespanSeconds >= least) continue
      least = next.makespanSeconds
      yield next
    }
  }

  private moved(pair: Pair, draws: Draws): Pair['orders'] | null {
    const person = this.prepared.people > 1 ? draws.draw(2) : 0
    const mine = itemAt(pair.orders, person)
    const theirs = itemAt(pair.orders, 1 - person)
    const length = draws.draw(3) === 0 ? 1 + draws.draw(longestBlock) : 1
    if (mine.length < length) return null
    const from = draws.draw(mine.length - length + 1)
    const block = mine.slice(from, from + length)
    if (this.prepared.people > 1 && draws.draw(100) < movesAcross) {
      const time = intAt(pair.startSeconds, itemAt(block, 0))
      const found = theirs.findIndex((id) => intAt(pair.startSeconds, id) >= time)
      const near = (found < 0 ? theirs.length : found) + draws.draw(2 * farthest.other + 1) - farthest.other
      const to = Math.min(theirs.length, Math.max(0, near))
      return inTurn(person, without(mine, from, length), [
        ...theirs.slice(0, to),
        ...block,
        ...theirs.slice(to),
      ])
    }
    const isLater = draws.draw(2) === 0
    const shift = 1 + draws.draw(farthest.own)
    const to = isLater ? Math.min(mine.length - length, from + shift) : Math.max(0, from - shift)
    if (to === from || !this.mayPass(mine, block, from, to)) return null
    const moved = without(mine, from, length)
    moved.splice(to, 0, ...block)
    return inTurn(person, moved, theirs)
  }

  /** Whether a block passes nothing that has to come before or after it. */
  private mayPass(order: readonly number[], block: readonly number[], from: number, to: number): boolean {
    const { count } = this.prepared
    const [first, last] = to > from ? [from + block.length, to + block.length] : [to, from]
    for (let at = first; at < last; at += 1) {
      const passed = itemAt(order, at)
      for (const id of block)
        if (this.isBefore[to > from ? id * count + passed : passed * count + id]) return false
    }
    return true
  }
}

const without = (order: readonly number[], from: number, length: number): number[] => [
  ...order.slice(0, from),
  ...order.slice(from + length),
]

const inTurn = (person: number, mine: readonly number[], theirs: readonly number[]): Pair['orders'] =>
  person === 0 ? [mine, theirs] : [theirs, mine]
