import type { Ground } from './ground'
import type { Layer } from './layer'
import type { PassOptions } from './passOptions'
import type { Prepared } from './prepared'
import type { PlaceProgress } from './progress'
import type { PlaceWaste } from './waste'

/**
 * What a pass knows of who does what: an order that is kept but for some operations, and places that belong to a person. With it
 * everybody's end can be foreseen as far as it is settled whose work is whose.
 */
export class KeptOrder {
  /** 1 for an operation whose turn is kept. */
  readonly isKept: Uint8Array
  /** 1 for a place with work that is not kept. */
  private readonly isFreePlace: Uint8Array
  private readonly kept: readonly (readonly number[])[]
  /** Seconds each person still needs for the kept operations, from each of them on. */
  private readonly keptAhead: readonly Int32Array[]
  private readonly people: number

  constructor(
    private readonly ground: Ground,
    private readonly options: Pick<PassOptions, 'keeping' | 'assigned' | 'onlyPlaces'>,
  ) {
    const { prepared } = ground
    const { keeping } = options
    this.people = prepared.people
    this.isKept = new Uint8Array(prepared.count)
    const kept: number[][] = Array.from({ length: prepared.people }, () => [])
    keeping?.order.operations.forEach((id, at) => {
      if (keeping.isFree(id)) return
      this.isKept[id] = 1
      kept[keeping.order.people[at] as number]?.push(id)
    })
    this.kept = kept
    this.keptAhead = kept.map((list) => secondsFromEach(prepared, list))
    this.isFreePlace = new Uint8Array(prepared.placeCount)
    for (let id = 0; id < prepared.count; id += 1)
      if (!this.isKept[id]) this.isFreePlace[prepared.place[id] as number] = 1
  }

  /** Nothing is kept and nobody has places of their own. */
  get isEmpty(): boolean {
    return !this.options.keeping && !this.options.assigned
  }

  /** The next kept operation of a person in a state. */
  nextOf(layer: Layer, state: number, worker: number): number | undefined {
    return this.kept[worker]?.[layer.keptDone[state * this.people + worker] as number]
  }

  /** Whose an operation is by its place; the number of people: anybody's. */
  private ownerOf(id: number): number {
    const owner = this.options.assigned?.[this.ground.prepared.place[id] as number] ?? -1
    return owner < 0 ? this.people : owner
  }

  /** Writes work and waste that no kept order holds into the first state, by the person they belong to; the last entry is anybody's. */
  begin(layer: Layer): void {
    const { ground, people, options } = this
    const { prepared, places, waste } = ground
    const isIn = (place: number) => !options.onlyPlaces || options.onlyPlaces.includes(place)
    layer.freeWork.fill(0, 0, people + 1)
    layer.awayFree.fill(0, 0, people + 1)
    for (let id = 0; id < prepared.count; id += 1) {
      if (this.isKept[id] || prepared.isDone[id] || !isIn(prepared.place[id] as number)) continue
      layer.freeWork[this.ownerOf(id)] =
        (layer.freeWork[this.ownerOf(id)] as number) + (prepared.duration[id] as number)
    }
    for (let place = 0; place < prepared.placeCount; place += 1) {
      if (!this.isFreePlace[place] || !isIn(place)) continue
      const owner = options.assigned?.[place] ?? -1
      const at = owner < 0 ? people : owner
      layer.awayFree[at] =
        (layer.awayFree[at] as number) +
        (waste[place] as PlaceWaste).fromAway((places[place] as PlaceProgress).start)
    }
  }

  /** Carries the same over into the state that an operation makes. */
  carry(from: Layer, state: number, id: number, worker: number, to: Layer): void {
    const { people } = this
    const { prepared } = this.ground
    const made = to.size
    const owner = this.isKept[id] ? -1 : this.ownerOf(id)
    const ofPlace = this.isFreePlace[prepared.place[id] as number] ? this.ownerOf(id) : -1
    for (let one = 0; one <= people; one += 1) {
      const before = state * (people + 1) + one
      const now = made * (people + 1) + one
      to.freeWork[now] =
        (from.freeWork[before] as number) - (one === owner ? (prepared.duration[id] as number) : 0)
      to.awayFree[now] =
        (from.awayFree[before] as number) +
        (one === ofPlace ? (to.awaySum[made] as number) - (from.awaySum[state] as number) : 0)
    }
    for (let one = 0; one < people; one += 1)
      to.keptDone[made * people + one] =
        (from.keptDone[state * people + one] as number) + (one === worker ? (this.isKept[id] as number) : 0)
  }

  /**
   * How far off the end is when an operation is appended: halfway between the one who is done last and the mean.
   * @param endOf when each person is free then, seconds
   * @param latest the latest of these
   * @param lost waste at the operation's place afterwards, against before
   */
  rank(
    from: Layer,
    state: number,
    id: number,
    worker: number,
    endOf: (person: number) => number,
    latest: number,
    lost: number,
  ): number {
    const { people } = this
    const own = this.isKept[id] ? -1 : this.ownerOf(id)
    const change =
      (this.isFreePlace[this.ground.prepared.place[id] as number] ? lost : 0) -
      (this.ground.prepared.duration[id] as number)
    const anybodys = state * (people + 1) + people
    let longest = latest
    let all = (from.freeWork[anybodys] as number) + (from.awayFree[anybodys] as number)
    if (own === people) all += change
    for (let one = 0; one < people; one += 1) {
      const next =
        (from.keptDone[state * people + one] as number) + (one === worker && this.isKept[id] ? 1 : 0)
      const until =
        endOf(one) +
        (this.keptAhead[one]?.[next] ?? 0) +
        (from.freeWork[state * (people + 1) + one] as number) +
        (from.awayFree[state * (people + 1) + one] as number) +
        (one === own ? change : 0)
      all += until
      if (until > longest) longest = until
    }
    return (longest + Math.max(longest, all / people)) / 2
  }
}

/** From each operation of a person's list to its end: work, walks and tool changes. */
function secondsFromEach(prepared: Prepared, list: readonly number[]): Int32Array {
  const ahead = new Int32Array(list.length + 1)
  for (let at = list.length - 1; at >= 0; at -= 1) {
    const id = list[at] as number
    const next = list[at + 1]
    const setup =
      next === undefined
        ? 0
        : ((prepared.walk[prepared.place[id] as number] as readonly number[])[
            prepared.place[next] as number
          ] as number) + (prepared.tool[id] === prepared.tool[next] ? 0 : prepared.change)
    ahead[at] = (ahead[at + 1] as number) + (prepared.duration[id] as number) + setup
  }
  return ahead
}
