import { byteAt, intAt, Rows, Squares } from '@/core/sequence/problem/packed'
import type { Prepared } from '@/core/sequence/problem/prepared'

/** No lower bound on the distance of two instants. */
export const none = -1_000_000_000
export const boundless = 1_000_000_000
export const unreachable = -500_000_000

/** Operations whose end still matters to something later; a state with more is cut off. */
export const maxOpen = 16

/** The states of one layer, side by side in flat lists. */
export class Layer {
  size = 0
  readonly progress: Rows
  readonly personPlace: Rows
  readonly personTool: Rows
  readonly openCount: Uint8Array
  readonly open: Rows
  /** Instants: 0 the start, then the people, then what is open. */
  readonly net: Squares
  readonly awaySum: Int32Array
  readonly remaining: Int32Array
  /** A bit for every symmetry that the state leaves. */
  readonly symmetries: Int32Array
  /** How far along the order that is kept. */
  readonly keptDone: Rows
  /** Least waste to come at places that are not kept. */
  readonly awayFree: Rows
  /** Seconds of work that no kept order holds, by person, then anybody's. */
  readonly freeWork: Rows
  /** Earliest start of what was appended last. */
  readonly lastStart: Int32Array
  readonly lastUser: Rows
  /** Per place, time that may be spent elsewhere before one of its deadlines is lost. */
  readonly slack: Rows

  constructor(
    width: number,
    private readonly placeCount: number,
    private readonly people: number,
    side: number,
    singleCount: number,
  ) {
    // One more than is kept: a new state is written before it is compared.
    const room = width + 1
    this.progress = new Rows(room, placeCount)
    this.personPlace = new Rows(room, people)
    this.personTool = new Rows(room, people)
    this.openCount = new Uint8Array(room)
    this.open = new Rows(room, maxOpen)
    this.net = new Squares(room, side)
    this.awaySum = new Int32Array(room)
    this.remaining = new Int32Array(room)
    this.symmetries = new Int32Array(room)
    this.keptDone = new Rows(room, people)
    this.freeWork = new Rows(room, people + 1)
    this.awayFree = new Rows(room, people + 1)
    this.lastStart = new Int32Array(room)
    this.slack = new Rows(room, placeCount, boundless)
    this.lastUser = new Rows(room, singleCount)
  }

  hashOf(state: number): number {
    let hash = 17
    for (let one = 0; one < this.placeCount; one += 1) hash = mixed(hash, this.progress.at(state, one))
    for (let one = 0; one < this.people; one += 1) {
      hash = mixed(hash, this.personPlace.at(state, one))
      hash = mixed(hash, this.personTool.at(state, one))
    }
    for (let one = 0; one < byteAt(this.openCount, state); one += 1)
      hash = mixed(hash, this.open.at(state, one))
    return hash
  }

  /** At how many places a deadline runs. */
  wetPlaces(state: number, prepared: Prepared): number {
    let places = 0
    let count = 0
    for (let one = 0; one < byteAt(this.openCount, state); one += 1) {
      const id = this.open.at(state, one)
      const bit = 1 << intAt(prepared.place, id)
      if ((places & bit) === 0 && prepared.hasDeadline[id] === 1) {
        places |= bit
        count += 1
      }
    }
    return count
  }

  /** Same work done in the same place, and every distance of the first at most that of the second. */
  dominates(first: number, second: number): boolean {
    const { progress, personPlace, personTool, open, net } = this
    if (!progress.isSame(first, second)) return false
    if (!personPlace.isSame(first, second) || !personTool.isSame(first, second)) return false
    const count = byteAt(this.openCount, first)
    if (count !== this.openCount[second] || !open.isSame(first, second, count)) return false
    const size = 1 + this.people + count
    for (let one = 0; one < size; one += 1) {
      const ours = net.line(first, one)
      const theirs = net.line(second, one)
      for (let other = 0; other < size; other += 1)
        if (net.along(ours, other) > net.along(theirs, other)) return false
    }
    return true
  }
}

function mixed(hash: number, value: number): number {
  const next = (Math.imul(hash, 31) + value) | 0
  return next ^ (next >>> 13)
}
