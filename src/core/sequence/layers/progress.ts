import { byteAt, intAt, itemAt } from '@/core/sequence/problem/packed'
import type { Prepared } from '@/core/sequence/problem/prepared'

/** How far the work at one place has come: a set of done operations that holds all that comes before them. */
export interface Progress {
  readonly index: number
  /** Per operation of the place (local number), 1 when done. */
  readonly done: Uint8Array
  readonly remainingSeconds: number
  readonly remainingCount: number
  /** What can come next as far as this place is concerned: global id and local number. */
  readonly next: readonly { readonly id: number; readonly local: number }[]
  /** By local number. */
  readonly after: (Progress | undefined)[]
  /** Seconds of own work still before an operation of the place can start, by local number; −1: not worked out yet. */
  readonly workBefore: Int32Array
}

/** All ways the work at one place can have come along, made as they are met. */
export class PlaceProgress {
  readonly ids: readonly number[]
  readonly local: ReadonlyMap<number, number>
  /** The same by global id, −1 for operations of other places. */
  readonly localOf: Int32Array
  readonly states: Progress[] = []
  private readonly known = new Map<string, Progress>()
  private readonly ancestors: readonly (readonly number[])[]
  readonly start: Progress
  private readonly chains: Int32Array

  constructor(
    private readonly prepared: Prepared,
    place: number,
  ) {
    this.ids = prepared.problem.operations
      .filter((operation) => operation.place === place)
      .map(({ id }) => id)
    this.local = new Map(this.ids.map((id, at) => [id, at]))
    this.localOf = new Int32Array(prepared.count).fill(-1)
    for (const [id, at] of this.local) this.localOf[id] = at
    this.ancestors = this.ids.map((id) => this.ancestorsOf(id))
    this.chains = new Int32Array(this.ids.length * this.ids.length).fill(-2)
    const done = Uint8Array.from(this.ids, (id) => byteAt(prepared.isDone, id))
    this.start = this.intern(done)
  }

  /** The progress once one more operation is done. */
  step(from: Progress, local: number): Progress {
    const known = from.after[local]
    if (known) return known
    const done = from.done.slice()
    done[local] = 1
    const next = this.intern(done)
    from.after[local] = next
    return next
  }

  /** Seconds one person needs here before an operation can start, itself not counted. */
  workBefore(from: Progress, local: number): number {
    const known = intAt(from.workBefore, local)
    if (known >= 0) return known
    const { duration, tool, change } = this.prepared
    const target = itemAt(this.ids, local)
    const tools = new Set([intAt(tool, target)])
    let sum = 0
    for (const ancestor of itemAt(this.ancestors, local)) {
      if (from.done[ancestor]) continue
      const id = itemAt(this.ids, ancestor)
      sum += intAt(duration, id)
      tools.add(intAt(tool, id))
    }
    const work = Math.max(this.longestBefore(from, target), sum + (tools.size - 1) * change)
    from.workBefore[local] = work
    return work
  }

  /** Seconds until an operation can start however many people work here. */
  chainBefore(from: Progress, local: number): number {
    return this.longestBefore(from, itemAt(this.ids, local))
  }

  /** Seconds of work before an operation when more than one person may do it. */
  sumBefore(from: Progress, local: number): number {
    let sum = 0
    for (const ancestor of itemAt(this.ancestors, local))
      if (!from.done[ancestor]) sum += intAt(this.prepared.duration, itemAt(this.ids, ancestor))
    return sum
  }

  /** Longest chain from the start of one operation of the place to the start of another, seconds; −1 where none leads there. */
  chain(from: number, to: number): number {
    const at = from * this.ids.length + to
    const known = intAt(this.chains, at)
    if (known !== -2) return known
    let longest = from === to ? 0 : -1
    if (from !== to) {
      const id = itemAt(this.ids, from)
      for (const { other, min } of itemAt(this.prepared.after, id)) {
        const local = this.local.get(other)
        const rest = local === undefined ? -1 : this.chain(local, to)
        if (rest >= 0) longest = Math.max(longest, intAt(this.prepared.duration, id) + min + rest)
      }
    }
    this.chains[at] = longest
    return longest
  }

  /** The longest chain of undone work and dwell before an operation, seconds. */
  private longestBefore(from: Progress, target: number): number {
    const known = new Map<number, number>()
    const before = (id: number): number => {
      const found = known.get(id)
      if (found !== undefined) return found
      let longest = 0
      for (const { other, min } of itemAt(this.prepared.before, id)) {
        const local = this.local.get(other)
        if (local === undefined || from.done[local]) continue
        longest = Math.max(longest, before(other) + intAt(this.prepared.duration, other) + min)
      }
      known.set(id, longest)
      return longest
    }
    return before(target)
  }

  private ancestorsOf(id: number): number[] {
    const found = new Set<number>()
    const visit = (one: number) => {
      for (const { other } of itemAt(this.prepared.before, one)) {
        const local = this.local.get(other)
        if (local !== undefined && !found.has(local)) {
          found.add(local)
          visit(other)
        }
      }
    }
    visit(id)
    return [...found]
  }

  private intern(done: Uint8Array): Progress {
    const key = String.fromCharCode(...done)
    const known = this.known.get(key)
    if (known) return known
    const { before, duration } = this.prepared
    const open = this.ids.map((id, local) => ({ id, local })).filter(({ local }) => !done[local])
    const progress: Progress = {
      index: this.states.length,
      done,
      remainingSeconds: open.reduce((sum, { id }) => sum + intAt(duration, id), 0),
      remainingCount: open.length,
      next: open.filter(({ id }) =>
        itemAt(before, id).every(({ other }) => {
          const local = this.local.get(other)
          return local === undefined || done[local] === 1
        }),
      ),
      after: [],
      workBefore: new Int32Array(this.ids.length).fill(-1),
    }
    this.known.set(key, progress)
    this.states.push(progress)
    return progress
  }
}
