import { Annealer } from '@/core/sequence/merging/anneal'
import type { LayeredSearch } from '@/core/sequence/layers/layeredSearch'
import type { FoundOrder } from '@/core/sequence/problem/foundOrder'
import type { PassOptions, PassResult } from '@/core/sequence/layers/passOptions'
import type { Prepared } from '@/core/sequence/problem/prepared'
import type { Schedule, SequenceProblem } from '@/core/sequence/problem/problem'
import { scheduleOf } from '@/core/sequence/problem/schedule'

/** Where the search stands. */
export interface Standing {
  /** The best so far; null until one is found. */
  readonly schedule: Schedule | null
  /** No order is shorter than this. */
  readonly lowerBoundSeconds: number
  /** States looked into: the same on every machine, unlike seconds. */
  readonly effort: number
}

/** What the parts of the search share. */
export class Search {
  best: FoundOrder | null = null
  schedule: Schedule | null = null
  lowerBoundSeconds: number
  /** Spent on shares that are solved as problems of their own. */
  effortOfShares = 0
  private ownAnnealer: Annealer | null = null

  constructor(
    readonly problem: SequenceProblem,
    readonly prepared: Prepared,
    readonly layers: LayeredSearch,
    /** The same for one person, to solve shares alone. */
    readonly alone: LayeredSearch,
    /** An answer is wanted in a moment: narrow searches only. */
    readonly isQuick: boolean,
    /** Solves a share as a problem of its own. */
    readonly solve: (problem: SequenceProblem, effort: number) => Generator<Standing, Standing>,
  ) {
    this.lowerBoundSeconds = layers.rootBound()
  }

  /** Made when two people's orders are put together; one person has no use for it. */
  get annealer(): Annealer {
    return (this.ownAnnealer ??= new Annealer(this.prepared))
  }

  get effort(): number {
    return (
      this.effortOfShares +
      (this.ownAnnealer?.effort ?? 0) +
      this.layers.effort +
      (this.alone === this.layers ? 0 : this.alone.effort)
    )
  }

  get isProven(): boolean {
    return this.best !== null && this.best.makespanSeconds <= this.lowerBoundSeconds
  }

  standing(): Standing {
    return { schedule: this.schedule, lowerBoundSeconds: this.lowerBoundSeconds, effort: this.effort }
  }

  /** Takes an order if it is the best so far; its clock is worked out anew, independent of the search. */
  offer(order: FoundOrder | null): boolean {
    if (!order || (this.best && order.makespanSeconds >= this.best.makespanSeconds)) return false
    const schedule = scheduleOf(this.problem, order)
    if (!schedule || (this.schedule && schedule.makespanSeconds >= this.schedule.makespanSeconds))
      return false
    this.best = { ...order, makespanSeconds: schedule.makespanSeconds }
    this.schedule = schedule
    return true
  }

  *pass(options: Omit<PassOptions, 'below'>): Generator<Standing, PassResult> {
    const running = this.layers.pass({ below: this.best?.makespanSeconds ?? Infinity, ...options })
    let step = running.next()
    while (!step.done) {
      yield this.standing()
      step = running.next()
    }
    return step.value
  }

  *try(options: Omit<PassOptions, 'below'>): Generator<Standing, boolean> {
    return this.offer((yield* this.pass(options)).best)
  }
}

/** Lets another search run with its steps counted as one's own. */
export function* silently<T>(running: Generator<void, T>, search: Search): Generator<Standing, T> {
  let step = running.next()
  while (!step.done) {
    yield search.standing()
    step = running.next()
  }
  return step.value
}
