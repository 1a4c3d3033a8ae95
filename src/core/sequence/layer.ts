import type { Prepared } from './prepared'

/** No lower bound on the distance of two instants. */
export const none = -1_000_000_000
export const boundless = 1_000_000_000
export const unreachable = -500_000_000

/** Operations whose end still matters to something later; a state with more is cut off. */
export const mostOpen = 16

/** The states of one layer, side by side in flat lists. */
export class Layer {
  size = 0
  readonly progress: Int32Array
  readonly personPlace: Int32Array
  readonly personTool: Int32Array
  readonly openCount: Uint8Array
  readonly open: Int32Array
  readonly net: Int32Array
  readonly awaySum: Int32Array
  readonly remaining: Int32Array
  /** A bit for every symmetry that the state leaves. */
  readonly symmetries: Int32Array
  /** How far along the order that is kept. */
  readonly keptDone: Int32Array
  /** Least waste to come at places that are not kept. */
  readonly awayFree: Int32Array
  /** Seconds of work that no kept order holds, by person, then anybody's. */
  readonly freeWork: Int32Array
  /** Earliest start of what was appended last. */
  readonly lastStart: Int32Array
  readonly lastUser: Int32Array
  /** Per place, time that may be spent elsewhere before one of its deadlines is lost. */
  readonly slack: Int32Array
  private readonly side: number

  constructor(
    width: number,
    private readonly placeCount: number,
    private readonly people: number,
    private readonly area: number,
    singleCount: number,
  ) {
    // One more than is kept: a new state is written before it is compared.
    const room = width + 1
    this.progress = new Int32Array(room * placeCount)
    this.personPlace = new Int32Array(room * people)
    this.personTool = new Int32Array(room * people)
    this.openCount = new Uint8Array(room)
    this.open = new Int32Array(room * mostOpen)
    this.net = new Int32Array(room * area)
    this.awaySum = new Int32Array(room)
    this.remaining = new Int32Array(room)
    this.symmetries = new Int32Array(room)
    this.keptDone = new Int32Array(room * people)
    this.freeWork = new Int32Array(room * (people + 1))
    this.awayFree = new Int32Array(room * (people + 1))
    this.lastStart = new Int32Array(room)
    this.slack = new Int32Array(room * placeCount).fill(boundless)
    this.lastUser = new Int32Array(room * singleCount)
    this.side = Math.sqrt(area)
  }

  hashOf(state: number): number {
    let hash = 17
    for (let one = 0; one < this.placeCount; one += 1)
      hash = mixed(hash, this.progress[state * this.placeCount + one] as number)
    for (let one = 0; one < this.people; one += 1) {
      hash = mixed(hash, this.personPlace[state * this.people + one] as number)
      hash = mixed(hash, this.personTool[state * this.people + one] as number)
    }
    for (let one = 0; one < (this.openCount[state] as number); one += 1)
      hash = mixed(hash, this.open[state * mostOpen + one] as number)
    return hash
  }

  /** At how many places a deadline runs. */
  wetPlaces(state: number, prepared: Prepared): number {
    let places = 0
    let count = 0
    for (let one = 0; one < (this.openCount[state] as number); one += 1) {
      const id = this.open[state * mostOpen + one] as number
      const bit = 1 << (prepared.place[id] as number)
      if ((places & bit) === 0 && prepared.hasDeadline[id] === 1) {
        places |= bit
        count += 1
      }
    }
    return count
  }

  /** Same work done in the same place, and every distance of the first at most that of the second. */
  dominates(first: number, second: number): boolean {
    const { placeCount, people } = this
    for (let one = 0; one < placeCount; one += 1)
      if (this.progress[first * placeCount + one] !== this.progress[second * placeCount + one]) return false
    for (let one = 0; one < people; one += 1) {
      if (this.personPlace[first * people + one] !== this.personPlace[second * people + one]) return false
      if (this.personTool[first * people + one] !== this.personTool[second * people + one]) return false
    }
    const count = this.openCount[first] as number
    if (count !== this.openCount[second]) return false
    for (let one = 0; one < count; one += 1)
      if (this.open[first * mostOpen + one] !== this.open[second * mostOpen + one]) return false
    const size = 1 + people + count
    const a = first * this.area
    const b = second * this.area
    for (let one = 0; one < size; one += 1)
      for (let other = 0; other < size; other += 1)
        if (
          (this.net[a + one * this.side + other] as number) >
          (this.net[b + one * this.side + other] as number)
        )
          return false
    return true
  }
}

function mixed(hash: number, value: number): number {
  const next = (Math.imul(hash, 31) + value) | 0
  return next ^ (next >>> 13)
}
