import type { Deadlines } from './deadlines'
import { mostOpen, none, unreachable, type Layer } from './layer'
import type { PassState } from './passState'
import type { Link, Prepared } from './prepared'
import type { PlaceProgress, Progress } from './progress'
import { gapFor } from './spans'
import type { PlaceWaste } from './waste'

/** Appends one operation to a state: the new state with its network, closed again, and only what still matters kept open. */
export class Appender {
  private readonly people: number
  private readonly placeCount: number
  // One network is worked out at a time; these are its workspace.
  private readonly scratch: Int32Array
  private readonly toNew: Int32Array
  private readonly fromNew: Int32Array
  private readonly into: Int32Array
  private readonly out: Int32Array
  private readonly keep: Int32Array
  private readonly keepId: Int32Array
  private readonly nowAt: Int32Array
  /** From what may stay open to each person. */
  private readonly ways: Int32Array

  constructor(
    private readonly prepared: Prepared,
    private readonly places: readonly PlaceProgress[],
    private readonly waste: readonly PlaceWaste[],
    private readonly singles: readonly number[],
    private readonly deadlines: Deadlines,
    /** Variables of a network. */
    private readonly side: number,
  ) {
    this.people = prepared.people
    this.placeCount = prepared.placeCount
    const list = () => new Int32Array(side + 1)
    this.scratch = new Int32Array((side + 1) * (side + 1))
    this.toNew = list()
    this.fromNew = list()
    this.into = list()
    this.out = list()
    this.keep = list()
    this.keepId = list()
    this.nowAt = list()
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
    const { prepared, people, placeCount, side, singles } = this
    const { scratch, toNew, fromNew, into, out, keep, keepId, nowAt: variables, ways } = this
    const openCount = from.openCount[state] as number
    const size = 1 + people + openCount
    // Where a deadline pulls something later the network is worked out in a copy; else the parent's serves as it is.
    let source = from.net
    let row = side
    let base = state * side * side
    const place = prepared.place[id] as number
    const tool = prepared.tool[id] as number
    const duration = prepared.duration[id] as number
    let pulls = false
    for (let a = 0; a < size; a += 1) {
      into[a] = none
      out[a] = none
    }
    const at = from.personPlace[state * people + worker] as number
    const held = from.personTool[state * people + worker] as number
    into[1 + worker] =
      duration +
      (at < 0
        ? 0
        : ((prepared.walk[at] as readonly number[])[place] as number) + (held === tool ? 0 : prepared.change))
    for (const link of prepared.before[id] as readonly Link[]) {
      for (let open = 0; open < openCount; open += 1) {
        if (from.open[state * mostOpen + open] !== link.other) continue
        const variable = 1 + people + open
        if (link.min + duration > (into[variable] as number)) into[variable] = link.min + duration
        if (link.max >= 0) {
          pulls = true
          if (-(link.max + duration) > (out[variable] as number)) out[variable] = -(link.max + duration)
        }
      }
    }
    if (people > 1) {
      for (let open = 0; open < openCount; open += 1) {
        const other = from.open[state * mostOpen + open] as number
        const variable = 1 + people + open
        const sharesTool = prepared.isSingle[tool] === 1 && prepared.tool[other] === tool
        const sharesPlace = prepared.exclusivePlaces && prepared.place[other] === place
        if ((sharesTool || sharesPlace) && duration > (into[variable] as number)) into[variable] = duration
      }
    }
    const spans = pass.taken?.get(tool)
    if (spans) {
      let earliest = none
      for (let b = 0; b < size; b += 1)
        if ((into[b] as number) > unreachable && (source[base + b] as number) > unreachable)
          earliest = Math.max(earliest, (source[base + b] as number) + (into[b] as number))
      const gap = gapFor(spans, earliest - duration, duration)
      into[0] = gap.start + duration
      if (gap.until !== Infinity) {
        pulls = true
        out[0] = -gap.until
      }
    }
    // Longest ways to and from the new instant; a way round that gains time is a deadline that cannot be kept.
    for (let a = 0; a < size; a += 1) {
      let best = none
      const start = base + a * row
      for (let b = 0; b < size; b += 1) {
        const step = into[b] as number
        if (step < unreachable) continue
        const way = source[start + b] as number
        if (way > unreachable && way + step > best) best = way + step
      }
      toNew[a] = best
      fromNew[a] = none
    }
    if (pulls) {
      for (let b = 0; b < size; b += 1)
        if (
          (out[b] as number) > unreachable &&
          (toNew[b] as number) > unreachable &&
          (out[b] as number) + (toNew[b] as number) > 0
        )
          return 'broken'
      for (let b = 0; b < size; b += 1) {
        const step = out[b] as number
        if (step < unreachable) continue
        const start = base + b * row
        for (let a = 0; a < size; a += 1) {
          const way = source[start + a] as number
          if (way > unreachable && way + step > (fromNew[a] as number)) fromNew[a] = way + step
        }
      }
      for (let a = 0; a < size; a += 1) {
        const first = toNew[a] as number
        const start = base + a * row
        for (let b = 0; b < size; b += 1) {
          const known = source[start + b] as number
          const second = fromNew[b] as number
          const way = first > unreachable && second > unreachable ? first + second : none
          scratch[a * (side + 1) + b] = way > known ? way : known
        }
      }
      source = scratch
      row = side + 1
      base = 0
    }

    // The new state.
    const target = to.size
    for (let one = 0; one < placeCount; one += 1)
      to.progress[target * placeCount + one] = from.progress[state * placeCount + one] as number
    const here = this.places[place] as PlaceProgress
    const before = here.states[from.progress[state * placeCount + place] as number] as Progress
    const after = here.step(before, here.localOf[id] as number)
    to.progress[target * placeCount + place] = after.index
    const waste = this.waste[place] as PlaceWaste
    to.awaySum[target] = (from.awaySum[state] as number) - waste.fromAway(before) + waste.fromAway(after)
    to.remaining[target] = (from.remaining[state] as number) - duration
    for (let one = 0; one < people; one += 1) {
      to.personPlace[target * people + one] = from.personPlace[state * people + one] as number
      to.personTool[target * people + one] = from.personTool[state * people + one] as number
    }
    to.personPlace[target * people + worker] = place
    to.personTool[target * people + worker] = tool
    for (let single = 0; single < singles.length; single += 1)
      to.lastUser[target * singles.length + single] =
        singles[single] === tool ? id : (from.lastUser[state * singles.length + single] as number)

    // What stays open: the new operation goes in where its number stands.
    let kept = 0
    let open = 0
    let isPlaced = false
    while (open < openCount || !isPlaced) {
      let other = open < openCount ? (from.open[state * mostOpen + open] as number) : -1
      let variable = 1 + people + open
      if (!isPlaced && (other < 0 || id < other)) {
        other = id
        variable = size
        isPlaced = true
      } else open += 1
      for (let one = 0; one < people; one += 1)
        ways[one] =
          variable === size
            ? one === worker
              ? 0
              : (fromNew[1 + one] as number)
            : one === worker
              ? (toNew[variable] as number)
              : (source[base + variable * row + 1 + one] as number)
      let matters = false
      for (const link of prepared.after[other] as readonly Link[]) {
        const where = prepared.place[link.other] as number
        const there = this.places[where] as PlaceProgress
        const progress = there.states[to.progress[target * placeCount + where] as number] as Progress
        if (progress.done[there.localOf[link.other] as number]) continue
        matters = link.max >= 0
        for (let one = 0; one < people && !matters; one += 1)
          if ((ways[one] as number) < link.min) matters = true
        if (matters) break
      }
      if (!matters && people > 1) {
        const otherTool = prepared.tool[other] as number
        const holds =
          (prepared.isSingle[otherTool] === 1 &&
            to.lastUser[target * singles.length + singles.indexOf(otherTool)] === other) ||
          (prepared.exclusivePlaces && (other === id || prepared.place[other] !== place))
        if (holds) for (let one = 0; one < people; one += 1) if ((ways[one] as number) < 0) matters = true
      }
      if (matters) {
        if (kept === mostOpen) return 'tooMany'
        keep[kept] = variable
        keepId[kept] = other
        kept += 1
      }
    }
    to.openCount[target] = kept
    variables[0] = 0
    for (let one = 0; one < people; one += 1) variables[1 + one] = one === worker ? size : 1 + one
    for (let one = 0; one < kept; one += 1) {
      variables[1 + people + one] = keep[one] as number
      to.open[target * mostOpen + one] = keepId[one] as number
    }
    const newSize = 1 + people + kept
    const targetNet = target * side * side
    for (let a = 0; a < newSize; a += 1) {
      const old = variables[a] as number
      const start = targetNet + a * side
      for (let b = 0; b < newSize; b += 1) {
        const other = variables[b] as number
        to.net[start + b] =
          old === size
            ? other === size
              ? 0
              : (fromNew[other] as number)
            : other === size
              ? (toNew[old] as number)
              : (source[base + old * row + other] as number)
      }
    }
    to.lastStart[target] = Math.max(
      from.lastStart[state] as number,
      (to.net[targetNet + 1 + worker] as number) - duration,
    )
    return this.deadlines.canBeKept(to, target, worker, pass) ? 'made' : 'broken'
  }
}
