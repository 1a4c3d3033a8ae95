import { groundOf, type Ground } from './ground'
import { BeamRun } from './beamRun'
import type { PassOptions, PassResult } from './passOptions'
import type { Prepared } from '@/core/sequence/problem/prepared'
import type { PlaceProgress } from './progress'
import { rootBound } from './rootBound'

/**
 * Appends one operation per layer to every state it keeps. A state is what is done, where the people are, what they hold, and a
 * temporal network over the instants that still matter, kept closed (longest paths), so that a spray may move later when that
 * keeps a deadline. States that another dominates (same work done, no looser network) are dropped; of the rest the most
 * promising are kept. Whatever was cut gives the lower bound; a pass that cuts nothing is exact.
 */
export class LayeredSearch {
  private readonly ground: Ground
  private readonly meter = { effort: 0 }

  constructor(prepared: Prepared) {
    this.ground = groundOf(prepared)
  }

  get places(): readonly PlaceProgress[] {
    return this.ground.places
  }

  /** Places with the same text have the same work. */
  get kinds(): readonly string[] {
    return this.ground.kinds
  }

  /** States that were looked into so far; a measure of effort that is the same on every machine. */
  get effort(): number {
    return this.meter.effort
  }

  pass(options: PassOptions): Generator<void, PassResult> {
    return new BeamRun(this.ground, options, this.meter).run()
  }

  /** No order of the whole problem is shorter, as far as is known before any search. */
  rootBound(): number {
    return rootBound(this.ground)
  }
}
