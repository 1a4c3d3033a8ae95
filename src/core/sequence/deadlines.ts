import { boundless, mostOpen, unreachable, type Layer } from './layer'
import type { PassState } from './passState'
import type { Link, Prepared } from './prepared'
import type { PlaceProgress, Progress } from './progress'

/** Something that has to start within `room` seconds, after `work` seconds of other work at its place. */
interface Deadline {
  readonly room: number
  readonly work: number
  readonly place: number
  readonly targetSeconds: number
  /** The person whose place it is; −1: anybody's. */
  readonly owner: number
}

/** Whether what is wet in a state can still come off in time. */
export class Deadlines {
  private readonly byPlace: Int32Array
  private readonly people: number
  private readonly placeCount: number

  constructor(
    private readonly prepared: Prepared,
    private readonly places: readonly PlaceProgress[],
    /** The shortest way into each place, seconds. */
    private readonly shortestWayIn: readonly number[],
    /** Variables of a network. */
    private readonly side: number,
  ) {
    this.people = prepared.people
    this.placeCount = prepared.placeCount
    this.byPlace = new Int32Array(prepared.placeCount)
  }

  /** Whether so many seconds at one place let a deadline of another pass. */
  isLost(
    layer: Layer,
    state: number,
    place: number,
    at: number,
    worker: number,
    { assigned }: PassState,
    seconds: number,
  ): boolean {
    const { placeCount, people } = this
    if (people > 1 && !assigned) return false
    for (let other = 0; other < placeCount; other += 1) {
      if (other === place || (people > 1 && assigned?.[other] !== worker)) continue
      // Coming back to where one stood takes a walk that was not counted before.
      const back = other === at ? (this.shortestWayIn[other] as number) : 0
      if ((layer.slack[state * placeCount + other] as number) < seconds + back) return true
    }
    return false
  }

  /**
   * Work that has to be done before each open deadline, earliest first, has to fit; a state that fails this leads nowhere. What
   * one person has to do alone (alone at all, or the place is theirs) is held against their own hours, the rest against all.
   */
  canBeKept(layer: Layer, state: number, worker: number, pass: PassState): boolean {
    const { prepared, people, placeCount, side } = this
    const { inTime, assigned, hidden } = pass
    const openCount = layer.openCount[state] as number
    const net = state * side * side
    // In time order nothing starts before the last start.
    const since = inTime
      ? Math.max(0, layer.net[net + 1 + worker] as number) - (layer.lastStart[state] as number)
      : 0
    for (let one = 0; one < placeCount; one += 1) layer.slack[state * placeCount + one] = boundless
    const deadlines: Deadline[] = []
    for (let open = 0; open < openCount; open += 1) {
      const id = layer.open[state * mostOpen + open] as number
      const variable = 1 + people + open
      for (const link of prepared.after[id] as readonly Link[]) {
        if (link.max < 0) continue
        const where = prepared.place[link.other] as number
        if (hidden[where]) continue
        const there = this.places[where] as PlaceProgress
        const local = there.localOf[link.other] as number
        const progress = there.states[layer.progress[state * placeCount + where] as number] as Progress
        if (progress.done[local]) continue
        const owner = people === 1 ? 0 : (assigned?.[where] ?? -1)
        const targetSeconds = prepared.duration[link.other] as number
        if (owner >= 0) {
          const passed = layer.net[net + variable * side + 1 + owner] as number
          const room = link.max - (passed < unreachable ? 0 : passed)
          const work = there.workBefore(progress, local)
          const walk = this.walkInto(where, layer.personPlace[state * people + owner] as number)
          if (work + walk > room) return false
          if (!this.canWaitOut(layer, state, where, there, local, variable, link.max)) return false
          const slack = room - work - walk
          if (slack < (layer.slack[state * placeCount + where] as number))
            layer.slack[state * placeCount + where] = slack
          deadlines.push({ room, work: work + walk, place: where, targetSeconds, owner })
        } else {
          let passed = boundless
          for (let one = 0; one < people; one += 1)
            passed = Math.min(passed, layer.net[net + variable * side + 1 + one] as number)
          if (inTime)
            passed = Math.max(passed, (layer.net[net + variable * side + 1 + worker] as number) - since)
          // Somebody who is not tied to the spray may have begun long before it.
          if (passed < unreachable) continue
          const room = link.max - passed
          if (there.chainBefore(progress, local) > room) return false
          deadlines.push({ room, work: there.sumBefore(progress, local), place: where, targetSeconds, owner })
        }
      }
    }
    if (deadlines.length < 2) return true
    deadlines.sort((a, b) => a.room - b.room)
    for (let owner = 0; owner < people; owner += 1) if (!this.fits(deadlines, owner, null)) return false
    if (people === 1 || !inTime) return true
    const from = layer.lastStart[state] as number
    const busy = Array.from({ length: people }, (_, one) =>
      Math.max(0, (layer.net[net + 1 + one] as number) - from),
    )
    return this.fits(deadlines, -1, busy)
  }

  /**
   * Whether all that is due by each deadline fits before it.
   * @param owner whose deadlines, −1: those anybody may keep
   * @param busy seconds until each person is free; null: one person who is free now
   */
  private fits(deadlines: readonly Deadline[], owner: number, busy: readonly number[] | null): boolean {
    const { byPlace, placeCount } = this
    for (let last = busy ? 0 : 1; last < deadlines.length; last += 1) {
      const { room } = deadlines[last] as Deadline
      // What had to start by an earlier deadline counts as far as the time lets it be.
      byPlace.fill(0)
      for (let one = 0; one <= last; one += 1) {
        const { room: earlier, work, place, targetSeconds, owner: whose } = deadlines[one] as Deadline
        if (whose !== owner) continue
        const needed = work + Math.min(targetSeconds, room - earlier)
        if (needed > (byPlace[place] as number)) byPlace[place] = needed
      }
      let sum = 0
      for (let place = 0; place < placeCount; place += 1) sum += byPlace[place] as number
      const hours = busy ? busy.reduce((all, one) => all + Math.max(0, room - one), 0) : room
      if (sum > hours) return false
    }
    return true
  }

  /** Whether a dwell that something before the target still waits for can run out before the deadline that began with `variable`. */
  private canWaitOut(
    layer: Layer,
    state: number,
    place: number,
    there: PlaceProgress,
    target: number,
    variable: number,
    most: number,
  ): boolean {
    const { prepared, people, placeCount, side } = this
    const progress = there.states[layer.progress[state * placeCount + place] as number] as Progress
    const row = state * side * side + variable * side
    for (let open = 0; open < (layer.openCount[state] as number); open += 1) {
      const id = layer.open[state * mostOpen + open] as number
      if (prepared.place[id] !== place) continue
      const apart = layer.net[row + 1 + people + open] as number
      if (apart < unreachable) continue
      for (const link of prepared.after[id] as readonly Link[]) {
        const local = there.localOf[link.other] as number
        if (local < 0 || progress.done[local]) continue
        const chain = there.chain(local, target)
        if (chain >= 0 && apart + link.min + chain > most) return false
      }
    }
    return true
  }

  private walkInto(place: number, from: number): number {
    return from < 0 || from === place ? 0 : (this.shortestWayIn[place] as number)
  }
}
