import { byteAt, intAt, itemAt } from '@/core/sequence/problem/packed'
import { boundless, unreachable, type Layer } from './layer'
import type { PassState } from './passState'
import type { Prepared } from '@/core/sequence/problem/prepared'
import type { PlaceProgress } from './progress'

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
      const back = other === at ? itemAt(this.shortestWayIn, other) : 0
      if (layer.slack.at(state, other) < seconds + back) return true
    }
    return false
  }

  /**
   * Work that has to be done before each open deadline, earliest first, has to fit; a state that fails this leads nowhere. What
   * one person has to do alone (alone at all, or the place is theirs) is held against their own hours, the rest against all.
   */
  canBeKept(layer: Layer, state: number, worker: number, pass: PassState): boolean {
    const { prepared, people, placeCount } = this
    const { inTime, assigned, hidden } = pass
    const openCount = byteAt(layer.openCount, state)
    // In time order nothing starts before the last start.
    const since = inTime ? Math.max(0, layer.net.at(state, 0, 1 + worker)) - intAt(layer.lastStart, state) : 0
    for (let one = 0; one < placeCount; one += 1) layer.slack.put(state, one, boundless)
    const deadlines: Deadline[] = []
    for (let open = 0; open < openCount; open += 1) {
      const id = layer.open.at(state, open)
      const variable = 1 + people + open
      for (const link of itemAt(prepared.after, id)) {
        if (link.max < 0) continue
        const where = intAt(prepared.place, link.other)
        if (hidden[where]) continue
        const there = itemAt(this.places, where)
        const local = intAt(there.localOf, link.other)
        const progress = itemAt(there.states, layer.progress.at(state, where))
        if (progress.done[local]) continue
        const owner = people === 1 ? 0 : (assigned?.[where] ?? -1)
        const targetSeconds = intAt(prepared.duration, link.other)
        if (owner >= 0) {
          const passed = layer.net.at(state, variable, 1 + owner)
          const room = link.max - (passed < unreachable ? 0 : passed)
          const work = there.workBefore(progress, local)
          const walk = this.walkInto(where, layer.personPlace.at(state, owner))
          if (work + walk > room) return false
          if (!this.canWaitOut(layer, state, where, there, local, variable, link.max)) return false
          const slack = room - work - walk
          if (slack < layer.slack.at(state, where)) layer.slack.put(state, where, slack)
          deadlines.push({ room, work: work + walk, place: where, targetSeconds, owner })
        } else {
          let passed = boundless
          for (let one = 0; one < people; one += 1)
            passed = Math.min(passed, layer.net.at(state, variable, 1 + one))
          if (inTime) passed = Math.max(passed, layer.net.at(state, variable, 1 + worker) - since)
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
    const from = intAt(layer.lastStart, state)
    const busy = Array.from({ length: people }, (_, one) =>
      Math.max(0, layer.net.at(state, 0, 1 + one) - from),
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
      const { room } = itemAt(deadlines, last)
      // What had to start by an earlier deadline counts as far as the time lets it be.
      byPlace.fill(0)
      for (let one = 0; one <= last; one += 1) {
        const { room: earlier, work, place, targetSeconds, owner: whose } = itemAt(deadlines, one)
        if (whose !== owner) continue
        const needed = work + Math.min(targetSeconds, room - earlier)
        if (needed > intAt(byPlace, place)) byPlace[place] = needed
      }
      let sum = 0
      for (let place = 0; place < placeCount; place += 1) sum += intAt(byPlace, place)
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
    const { prepared, people } = this
    const progress = itemAt(there.states, layer.progress.at(state, place))
    for (let open = 0; open < byteAt(layer.openCount, state); open += 1) {
      const id = layer.open.at(state, open)
      if (prepared.place[id] !== place) continue
      const apart = layer.net.at(state, variable, 1 + people + open)
      if (apart < unreachable) continue
      for (const link of itemAt(prepared.after, id)) {
        const local = intAt(there.localOf, link.other)
        if (local < 0 || progress.done[local]) continue
        const chain = there.chain(local, target)
        if (chain >= 0 && apart + link.min + chain > most) return false
      }
    }
    return true
  }

  private walkInto(place: number, from: number): number {
    return from < 0 || from === place ? 0 : itemAt(this.shortestWayIn, place)
  }
}
