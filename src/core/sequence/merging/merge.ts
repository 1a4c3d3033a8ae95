import { intAt, itemAt } from '@/core/sequence/problem/packed'
import type { Prepared } from '@/core/sequence/problem/prepared'
import { setupSeconds, type Operation } from '@/core/sequence/problem/problem'

/** So many delays per operation mean a deadline that cannot be kept. */
const maxDelaysPerOperation = 5

/** Who has a single tool, or a place, before whom; a list from the latest decision back. */
interface Settled {
  readonly first: number
  readonly then: number
  readonly before: Settled | null
}

interface Case {
  readonly start: Int32Array
  /** No clock of this case ends before. */
  readonly endSeconds: number
  readonly depth: number
  readonly settled: Settled | null
}

/**
 * Puts two people's orders, each fixed, on one clock: who has a single tool first is settled one meeting after another, the most
 * promising case first, and every case is a network of longest paths, so that a spray moves later where its chemical would dry.
 */
export class Merger {
  private readonly edgeTo: readonly Int32Array[]
  private readonly edgeSeconds: readonly Int32Array[]
  private readonly nextOf: Int32Array
  private readonly nextSeconds: Int32Array
  /** Seconds from the start of an operation to the end of all that follows it. */
  private readonly tail: Int32Array
  /** What has to wait for an operation, −1: nothing. */
  private readonly thenOf: Int32Array
  private readonly personOf: Uint8Array
  /** Seconds of own work, walks and changes before an operation. */
  private readonly workUntil: Int32Array
  /** Sprays and what has to start in time after them: from, to, seconds between the two starts; in threes. */
  private readonly deadlines: Int32Array
  private readonly doneIds: readonly number[]
  /** From the start of one operation to the start of the next of the same person at the earliest, by first × count + next. */
  private readonly apart: Int32Array
  private readonly fresh: Int32Array
  // One network is worked out at a time; these are its state.
  private readonly queue: Int32Array
  private readonly isQueued: Uint8Array
  private head = 0
  private waiting = 0
  private start: Int32Array
  private below = 0
  private holds = true
  /** Operations whose start was looked at; a measure of effort. */
  looks = 0

  constructor(private readonly prepared: Prepared) {
    const { count, duration, before, after, isDone } = prepared
    const edges = Array.from({ length: count }, (_, id) => [
      ...(after[id] ?? []).map(({ other, min }) => [other, intAt(duration, id) + min] as const),
      ...(before[id] ?? []).flatMap(({ other, max }) =>
        max < 0 ? [] : [[other, -(max + intAt(duration, other))] as const],
      ),
    ])
    this.edgeTo = edges.map((all) => Int32Array.from(all, ([to]) => to))
    this.edgeSeconds = edges.map((all) => Int32Array.from(all, ([, seconds]) => seconds))
    this.nextOf = new Int32Array(count).fill(-1)
    this.nextSeconds = new Int32Array(count)
    this.tail = new Int32Array(count)
    this.thenOf = new Int32Array(count).fill(-1)
    this.personOf = new Uint8Array(count)
    this.workUntil = new Int32Array(count)
    this.deadlines = Int32Array.from(
      before.flatMap((links, to) =>
        links.flatMap(({ other, max }) => (max < 0 ? [] : [other, to, max + intAt(duration, other)])),
      ),
    )
    this.doneIds = [...isDone.keys()].filter((id) => isDone[id])
    this.queue = new Int32Array(count)
    this.isQueued = new Uint8Array(count)
    this.fresh = new Int32Array(count)
    this.start = this.fresh
    const { operations } = prepared.problem
    this.apart = Int32Array.from({ length: count * count }, (_, at) => {
      const id = Math.floor(at / count)
      return (
        intAt(duration, id) +
        setupSeconds(prepared.problem, itemAt(operations, id), itemAt(operations, at % count))
      )
    })
  }

  /**
   * Starts (seconds, by operation) of two orders that end before `below`; null where none was found.
   * @param maxCases cases looked into before it gives up
   */
  merge(
    first: readonly number[],
    second: readonly number[],
    below: number,
    maxCases: number,
  ): Int32Array | null {
    const { prepared } = this
    const start = this.fresh
    start.fill(0)
    for (const id of this.doneIds)
      start[id] = (prepared.problem.done?.get(id) ?? 0) - intAt(prepared.duration, id)
    this.follow(first, 0, start)
    this.follow(second, 1, start)
    if (this.isTooLong()) return null
    this.tail.set(prepared.duration)
    this.fillTails(first)
    this.fillTails(second)
    if (!this.settle(start, [this.doneIds, first, second], null, below)) return null
    const endSeconds = this.endOf(start)
    if (endSeconds >= below) return null
    const ours = this.sharedOf(first)
    const theirs = this.sharedOf(second)
    const cases: Case[] = [{ start: start.slice(), endSeconds, depth: 0, settled: null }]
    for (let tried = 0; tried < maxCases && cases.length > 0; tried += 1) {
      const here = takeBest(cases)
      const meeting = this.firstMeeting(here.start, ours, theirs)
      if (!meeting) return here.start
      for (const [one, other] of [meeting, [meeting[1], meeting[0]] as const]) {
        const settled = { first: one, then: other, before: here.settled }
        const moved = here.start.slice()
        if (this.settle(moved, [[one]], settled, below))
          cases.push({ start: moved, endSeconds: this.endOf(moved), depth: here.depth + 1, settled })
      }
    }
    return null
  }

  /** What the two could want at once. */
  private sharedOf(order: readonly number[]): readonly number[] {
    const { exclusivePlaces, isSingle, tool } = this.prepared
    return exclusivePlaces ? order : order.filter((id) => isSingle[intAt(tool, id)] === 1)
  }

  /** Reads one person's order: what follows what, and when the first can start. */
  private follow(order: readonly number[], person: number, start: Int32Array): void {
    const { count, problem } = this.prepared
    let sum = 0
    for (let at = 0; at < order.length; at += 1) {
      const id = itemAt(order, at)
      const next = at + 1 < order.length ? itemAt(order, at + 1) : -1
      this.nextOf[id] = next
      this.personOf[id] = person
      this.workUntil[id] = sum
      if (next < 0) continue
      const seconds = intAt(this.apart, id * count + next)
      this.nextSeconds[id] = seconds
      sum += seconds
    }
    const begins = problem.peopleAtStart?.[person]
    const first = problem.operations[order[0] ?? -1]
    if (!begins || !first) return
    const from = begins.place === null ? null : { place: begins.place, tool: begins.tool ?? '' }
    start[first.id] = begins.availableAtSeconds + (from ? setupSeconds(problem, from, first as Operation) : 0)
  }

  /** Whether somebody has more to do between a spray and its rinse than the limit allows, without any waiting. */
  private isTooLong(): boolean {
    const { deadlines, personOf, workUntil } = this
    const { isDone } = this.prepared
    for (let at = 0; at < deadlines.length; at += 3) {
      const from = intAt(deadlines, at)
      const to = intAt(deadlines, at + 1)
      if (isDone[from] || isDone[to] || personOf[from] !== personOf[to]) continue
      if (intAt(workUntil, to) - intAt(workUntil, from) > intAt(deadlines, at + 2)) return true
    }
    return false
  }

  /** Reckoned backwards along one order; what hangs on the other's later work may make it more. */
  private fillTails(order: readonly number[]): void {
    const { tail, nextOf, nextSeconds, edgeTo, edgeSeconds } = this
    for (let at = order.length - 1; at >= 0; at -= 1) {
      const id = itemAt(order, at)
      let longest = intAt(this.prepared.duration, id)
      const next = intAt(nextOf, id)
      if (next >= 0) longest = Math.max(longest, intAt(nextSeconds, id) + intAt(tail, next))
      const to = itemAt(edgeTo, id)
      const seconds = itemAt(edgeSeconds, id)
      for (let one = 0; one < to.length; one += 1) {
        const way = intAt(seconds, one) + intAt(tail, intAt(to, one))
        if (intAt(seconds, one) > 0 && way > longest) longest = way
      }
      tail[id] = longest
    }
  }

  /** Moves starts later until all holds; false where that cannot be, or not before `below`. */
  private settle(
    start: Int32Array,
    from: readonly (readonly number[])[],
    settled: Settled | null,
    below: number,
  ): boolean {
    const { queue, isQueued, nextOf, nextSeconds, edgeTo, edgeSeconds, thenOf, workUntil } = this
    const { count, duration } = this.prepared
    this.head = 0
    this.waiting = 0
    this.start = start
    this.below = below
    this.holds = true
    for (const list of from) for (const id of list) this.enqueue(id)
    // Of all that have to wait for one operation the first in the other's order is enough.
    for (let one = settled; one; one = one.before) {
      const known = intAt(thenOf, one.first)
      if (known < 0 || intAt(workUntil, one.then) < intAt(workUntil, known)) thenOf[one.first] = one.then
    }
    let left = maxDelaysPerOperation * count
    while (this.waiting > 0) {
      const id = intAt(queue, this.head)
      this.head = this.head + 1 === count ? 0 : this.head + 1
      this.waiting -= 1
      isQueued[id] = 0
      if (!this.holds || left === 0) {
        // The queue is emptied for the next network.
        this.holds = false
        continue
      }
      left -= 1
      const at = intAt(start, id)
      const next = intAt(nextOf, id)
      if (next >= 0 && !this.prepared.isDone[id]) this.delay(next, at + intAt(nextSeconds, id))
      const to = itemAt(edgeTo, id)
      const seconds = itemAt(edgeSeconds, id)
      for (let one = 0; one < to.length; one += 1) this.delay(intAt(to, one), at + intAt(seconds, one))
      if (intAt(thenOf, id) >= 0) this.delay(intAt(thenOf, id), at + intAt(duration, id))
    }
    for (let one = settled; one; one = one.before) thenOf[one.first] = -1
    this.looks += maxDelaysPerOperation * count - left
    return this.holds
  }

  private enqueue(id: number): void {
    if (this.isQueued[id]) return
    this.isQueued[id] = 1
    const free = this.head + this.waiting
    this.queue[free >= this.queue.length ? free - this.queue.length : free] = id
    this.waiting += 1
  }

  private delay(id: number, earliest: number): void {
    if (earliest <= intAt(this.start, id)) return
    this.start[id] = earliest
    if (earliest + intAt(this.tail, id) >= this.below || this.prepared.isDone[id]) this.holds = false
    this.enqueue(id)
  }

  /** The first two operations in time that want one tool, or one place for one person, at once. */
  private firstMeeting(
    start: Int32Array,
    ours: readonly number[],
    theirs: readonly number[],
  ): readonly [number, number] | null {
    const { duration, tool, place, isSingle, exclusivePlaces } = this.prepared
    let from = 0
    for (const one of ours) {
      const begin = intAt(start, one)
      const end = begin + intAt(duration, one)
      while (
        from < theirs.length &&
        intAt(start, itemAt(theirs, from)) + intAt(duration, itemAt(theirs, from)) <= begin
      )
        from += 1
      for (let at = from; at < theirs.length && intAt(start, itemAt(theirs, at)) < end; at += 1) {
        const other = itemAt(theirs, at)
        const sharesTool = tool[other] === tool[one] && isSingle[intAt(tool, one)] === 1
        if (sharesTool || (exclusivePlaces && place[other] === place[one])) return [one, other]
      }
    }
    return null
  }

  private endOf(start: Int32Array): number {
    let end = 0
    for (let id = 0; id < start.length; id += 1) {
      if (this.prepared.isDone[id]) continue
      const one = intAt(start, id) + intAt(this.tail, id)
      if (one > end) end = one
    }
    return end
  }
}

/** Takes the case that may end first from the list; of equals the one where more is settled. */
function takeBest(cases: Case[]): Case {
  let at = 0
  for (let index = 1; index < cases.length; index += 1) {
    const one = itemAt(cases, index)
    const best = itemAt(cases, at)
    if (one.endSeconds < best.endSeconds || (one.endSeconds === best.endSeconds && one.depth > best.depth))
      at = index
  }
  const best = itemAt(cases, at)
  cases[at] = cases.at(-1) as Case
  cases.pop()
  return best
}
