import type { Deadlines } from './deadlines'
import { maxOpen, none, unreachable, type Layer } from './layer'
import { byteAt, intAt, itemAt, Squares } from '@/core/sequence/problem/packed'
import type { PassState } from './passState'
import type { Prepared } from '@/core/sequence/problem/prepared'
import type { PlaceProgress } from './progress'
import { gapFor } from '@/core/sequence/problem/spans'
import type { PlaceWaste } from './waste'

/** What one operation is to a state: who does it, where, with what. */
interface Work {
  readonly id: number
  readonly worker: number
  readonly place: number
  readonly tool: number
  readonly duration: number
}

/** Appends one operation to a state: the new state with its network, closed again, and only what still matters kept open. */
export class Appender {
  private readonly people: number
  // One network is worked out at a time; these are its workspace, by variable: the start, the people, what is open.
  private readonly closed: Squares
  /** The parent's network, or a closed copy of it. */
  private source: Squares
  private square = 0
  private size = 0
  private readonly toNew: Int32Array
  private readonly fromNew: Int32Array
  private readonly into: Int32Array
  private readonly out: Int32Array
  /** Variables of the parent that the new state keeps, in its order; `size` is the new operation. */
  private readonly variables: Int32Array
  /** From what may stay open to each person. */
  private readonly ways: Int32Array

  constructor(
    private readonly prepared: Prepared,
    private readonly places: readonly PlaceProgress[],
    private readonly waste: readonly PlaceWaste[],
    private readonly singles: readonly number[],
    private readonly deadlines: Deadlines,
    /** Variables of a network. */
    side: number,
  ) {
    this.people = prepared.people
    const list = () => new Int32Array(side + 1)
    this.closed = new Squares(1, side + 1)
    this.source = this.closed
    this.toNew = list()
    this.fromNew = list()
    this.into = list()
    this.out = list()
    this.variables = list()
    this.ways = list()
  }

  append(
    from: Layer,
    state: number,
    id: number,
    worker: number,
    to: Layer,
    pass: PassState,
  ): 'made' | 'broken' | 'tooMany' {
    const { place, tool, duration } = this.prepared
    const work: Work = {
      id,
      worker,
      place: intAt(place, id),
      tool: intAt(tool, id),
      duration: intAt(duration, id),
    }
    this.source = from.net
    this.square = state
    this.size = 1 + this.people + byteAt(from.openCount, state)
    const pulls = this.connect(from, state, work, pass)
    this.reach()
    if (pulls && !this.close()) return 'broken'
    this.writeWork(from, state, to, work)
    if (!this.keepOpen(from, state, to, work)) return 'tooMany'
    this.writeNetwork(to, work.worker)
    to.lastStart[to.size] = Math.max(
      intAt(from.lastStart, state),
      to.net.at(to.size, 0, 1 + worker) - work.duration,
    )
    return this.deadlines.canBeKept(to, to.size, worker, pass) ? 'made' : 'broken'
  }

  /**
   * What the end of the new operation hangs on, and what hangs on it, as direct distances.
   * @returns whether a deadline may pull something later
   */
  private connect(from: Layer, state: number, work: Work, pass: PassState): boolean {
    const { prepared, people, size, into, out } = this
    const { id, worker, place, tool, duration } = work
    const openCount = size - 1 - people
    let pulls = false
    for (let a = 0; a < size; a += 1) {
      into[a] = none
      out[a] = none
    }
    const at = from.personPlace.at(state, worker)
    const isHeld = from.personTool.at(state, worker) === tool
    into[1 + worker] =
      duration + (at < 0 ? 0 : itemAt(itemAt(prepared.walk, at), place) + (isHeld ? 0 : prepared.change))
    for (const link of itemAt(prepared.before, id))
      for (let open = 0; open < openCount; open += 1) {
        if (from.open.at(state, open) !== link.other) continue
        const variable = 1 + people + open
        if (link.min + duration > intAt(into, variable)) into[variable] = link.min + duration
        if (link.max >= 0) {
          pulls = true
          if (-(link.max + duration) > intAt(out, variable)) out[variable] = -(link.max + duration)
        }
      }
    if (people > 1)
      for (let open = 0; open < openCount; open += 1) {
        const other = from.open.at(state, open)
        const variable = 1 + people + open
        const sharesTool = prepared.isSingle[tool] === 1 && prepared.tool[other] === tool
        const sharesPlace = prepared.exclusivePlaces && prepared.place[other] === place
        if ((sharesTool || sharesPlace) && duration > intAt(into, variable)) into[variable] = duration
      }
    return this.findGap(work, pass) || pulls
  }

  /** The new operation goes where its tool is free; true where it has to be over before that is taken again. */
  private findGap({ tool, duration }: Work, pass: PassState): boolean {
    const spans = pass.taken?.get(tool)
    if (!spans) return false
    const { source, square, size, into, out } = this
    const line = source.line(square, 0)
    let earliest = none
    for (let b = 0; b < size; b += 1)
      if (intAt(into, b) > unreachable && source.along(line, b) > unreachable)
        earliest = Math.max(earliest, source.along(line, b) + intAt(into, b))
    const gap = gapFor(spans, earliest - duration, duration)
    into[0] = gap.start + duration
    if (gap.until === Infinity) return false
    out[0] = -gap.until
    return true
  }

  /** Longest ways to the new instant. */
  private reach(): void {
    const { source, square, size, into, toNew, fromNew } = this
    for (let a = 0; a < size; a += 1) {
      let best = none
      const line = source.line(square, a)
      for (let b = 0; b < size; b += 1) {
        const step = intAt(into, b)
        if (step < unreachable) continue
        const way = source.along(line, b)
        if (way > unreachable && way + step > best) best = way + step
      }
      toNew[a] = best
      fromNew[a] = none
    }
  }

  /**
   * Where a deadline pulls something later, the network is closed again in a copy; a way round that gains time is a deadline that
   * cannot be kept.
   */
  private close(): boolean {
    const { source, square, size, out, toNew, fromNew, closed } = this
    for (let b = 0; b < size; b += 1)
      if (intAt(out, b) > unreachable && intAt(toNew, b) > unreachable && intAt(out, b) + intAt(toNew, b) > 0)
        return false
    for (let b = 0; b < size; b += 1) {
      const step = intAt(out, b)
      if (step < unreachable) continue
      const line = source.line(square, b)
      for (let a = 0; a < size; a += 1) {
        const way = source.along(line, a)
        if (way > unreachable && way + step > intAt(fromNew, a)) fromNew[a] = way + step
      }
    }
    for (let a = 0; a < size; a += 1) {
      const first = intAt(toNew, a)
      const line = source.line(square, a)
      const written = closed.line(0, a)
      for (let b = 0; b < size; b += 1) {
        const known = source.along(line, b)
        const second = intAt(fromNew, b)
        const way = first > unreachable && second > unreachable ? first + second : none
        closed.putAlong(written, b, way > known ? way : known)
      }
    }
    this.source = closed
    this.square = 0
    return true
  }

  /** What is done, where everybody is and what they hold. */
  private writeWork(
    from: Layer,
    state: number,
    to: Layer,
    { id, worker, place, tool, duration }: Work,
  ): void {
    const { singles } = this
    const target = to.size
    to.progress.copy(from.progress, state, target)
    const here = itemAt(this.places, place)
    const before = itemAt(here.states, from.progress.at(state, place))
    const after = here.step(before, intAt(here.localOf, id))
    to.progress.put(target, place, after.index)
    const waste = itemAt(this.waste, place)
    to.awaySum[target] = intAt(from.awaySum, state) - waste.fromAway(before) + waste.fromAway(after)
    to.remaining[target] = intAt(from.remaining, state) - duration
    to.personPlace.copy(from.personPlace, state, target)
    to.personTool.copy(from.personTool, state, target)
    to.personPlace.put(target, worker, place)
    to.personTool.put(target, worker, tool)
    for (let single = 0; single < singles.length; single += 1)
      to.lastUser.put(target, single, singles[single] === tool ? id : from.lastUser.at(state, single))
  }

  /** What stays open, the new operation where its number stands; false where that is too many. */
  private keepOpen(from: Layer, state: number, to: Layer, work: Work): boolean {
    const { people, size, variables } = this
    const openCount = size - 1 - people
    let kept = 0
    let open = 0
    let isPlaced = false
    while (open < openCount || !isPlaced) {
      let other = open < openCount ? from.open.at(state, open) : -1
      let variable = 1 + people + open
      if (!isPlaced && (other < 0 || work.id < other)) {
        other = work.id
        variable = size
        isPlaced = true
      } else open += 1
      if (!this.matters(to, other, variable, work)) continue
      if (kept === maxOpen) return false
      variables[1 + people + kept] = variable
      to.open.put(to.size, kept, other)
      kept += 1
    }
    to.openCount[to.size] = kept
    return true
  }

  /** Whether the end of an operation still bears on what is to come. */
  private matters(to: Layer, other: number, variable: number, work: Work): boolean {
    const { prepared, people, ways, singles } = this
    this.findWays(variable, work.worker)
    for (const link of itemAt(prepared.after, other)) {
      const where = intAt(prepared.place, link.other)
      const there = itemAt(this.places, where)
      const progress = itemAt(there.states, to.progress.at(to.size, where))
      if (progress.done[intAt(there.localOf, link.other)]) continue
      if (link.max >= 0) return true
      for (let one = 0; one < people; one += 1) if (intAt(ways, one) < link.min) return true
    }
    if (people === 1) return false
    const tool = intAt(prepared.tool, other)
    const holds =
      (prepared.isSingle[tool] === 1 && to.lastUser.at(to.size, singles.indexOf(tool)) === other) ||
      (prepared.exclusivePlaces && (other === work.id || prepared.place[other] !== work.place))
    if (holds) for (let one = 0; one < people; one += 1) if (intAt(ways, one) < 0) return true
    return false
  }

  /** From the end of an operation to when each person is free. */
  private findWays(variable: number, worker: number): void {
    const { people, size, ways, source, square, toNew, fromNew } = this
    for (let one = 0; one < people; one += 1)
      ways[one] =
        variable === size
          ? one === worker
            ? 0
            : intAt(fromNew, 1 + one)
          : one === worker
            ? intAt(toNew, variable)
            : source.at(square, variable, 1 + one)
  }

  /** The network of what the new state keeps. */
  private writeNetwork(to: Layer, worker: number): void {
    const { people, size, variables, source, square, toNew, fromNew } = this
    variables[0] = 0
    for (let one = 0; one < people; one += 1) variables[1 + one] = one === worker ? size : 1 + one
    const newSize = 1 + people + byteAt(to.openCount, to.size)
    for (let a = 0; a < newSize; a += 1) {
      const old = intAt(variables, a)
      const written = to.net.line(to.size, a)
      const line = old === size ? 0 : source.line(square, old)
      for (let b = 0; b < newSize; b += 1) {
        const other = intAt(variables, b)
        to.net.putAlong(
          written,
          b,
          old === size
            ? other === size
              ? 0
              : intAt(fromNew, other)
            : other === size
              ? intAt(toNew, old)
              : source.along(line, other),
        )
      }
    }
  }
}
