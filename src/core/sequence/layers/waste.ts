import { intAt, itemAt } from '@/core/sequence/problem/packed'
import type { Prepared } from '@/core/sequence/problem/prepared'
import type { PlaceProgress, Progress } from './progress'

/** Beyond this many remembered cases the bound gives up and says 0, which is always valid. */
const maxCases = 200_000

/** A dwell that has not run out: the operation that waits for it (local number) and for how long. */
export interface Wait {
  readonly local: number
  readonly seconds: number
}

/** Up to two waits as one number, more as text. */
function keyOf(waits: readonly Wait[]): number | string {
  if (waits.length === 0) return 0
  if (waits.length > 2) return waits.map(({ local, seconds }) => `${local}:${seconds}`).join()
  let key = 0
  for (const { local, seconds } of waits) {
    if (local > 255 || seconds > 65_535) return waits.map((one) => `${one.local}:${one.seconds}`).join()
    key = key * 16_777_216 + local * 65_536 + seconds
  }
  return key
}

const noWaits: readonly Wait[] = []

/**
 * The least time that is lost at one place until all its work is done: tool changes, standing by a dwell, and walking back after
 * every time away. Time away itself is not lost, it is spent at other places; a bound of one place alone may therefore be summed.
 */
export class PlaceWaste {
  private readonly known: (Map<number | string, number> | undefined)[] = []
  private count = 0
  private readonly away: number[] = []

  constructor(
    private readonly prepared: Prepared,
    private readonly progress: PlaceProgress,
    /** The shortest way in; infinite where there is no other place. */
    private readonly walkIn: number,
  ) {}

  /** Waste to come when nobody is here; the walk in is part of it. */
  fromAway(state: Progress): number {
    let known = this.away[state.index]
    if (known === undefined) {
      known =
        state.remainingCount === 0
          ? 0
          : this.fromArrival(state) + (this.walkIn === Infinity ? 0 : this.walkIn)
      this.away[state.index] = known
    }
    return known
  }

  /** Waste to come for the person who stands here with a tool in the hand. */
  fromHere(state: Progress, tool: number, waits: readonly Wait[]): number {
    if (state.remainingCount === 0) return 0
    const cases = this.casesOf(state, tool)
    const key = keyOf(waits)
    const known = cases.get(key)
    if (known !== undefined) return known
    if (this.count > maxCases) return 0
    let least = Infinity
    if (tool >= 0 && this.walkIn !== Infinity) least = this.walkIn + this.fromArrival(state)
    const { duration, change, after } = this.prepared
    for (const { id, local } of state.next) {
      const ownTool = intAt(this.prepared.tool, id)
      const setup = tool < 0 || tool === ownTool ? 0 : change
      let wait = 0
      for (const one of waits) if (one.local === local) wait = Math.max(wait, one.seconds)
      const lost = Math.max(setup, wait)
      if (lost >= least) continue
      const passed = lost + intAt(duration, id)
      const left: Wait[] = []
      for (const one of waits)
        if (one.seconds > passed && one.local !== local)
          left.push({ local: one.local, seconds: one.seconds - passed })
      for (const { other, min } of itemAt(after, id)) {
        const target = this.progress.local.get(other)
        if (target !== undefined && min > 0) left.push({ local: target, seconds: min })
      }
      least = Math.min(least, lost + this.fromHere(this.progress.step(state, local), ownTool, left))
    }
    if (least === Infinity) least = 0
    cases.set(key, least)
    this.count += 1
    return least
  }

  private casesOf(state: Progress, tool: number): Map<number | string, number> {
    const at = state.index * (this.prepared.toolCount + 2) + tool + 1
    let cases = this.known[at]
    if (!cases) {
      cases = new Map()
      this.known[at] = cases
    }
    return cases
  }

  private fromArrival(state: Progress): number {
    return this.fromHere(state, -1, noWaits)
  }
}
