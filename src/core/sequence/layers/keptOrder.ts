import { intAt, itemAt } from '@/core/sequence/problem/packed'
import type { Ground } from './ground'
import type { Layer } from './layer'
import type { PassOptions } from './passOptions'
import type { Prepared } from '@/core/sequence/problem/prepared'

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
      kept[itemAt(keeping.order.people, at)]?.push(id)
    })
    this.kept = kept
    this.keptAhead = kept.map((list) => secondsFromEach(prepared, list))
    this.isFreePlace = new Uint8Array(prepared.placeCount)
    for (let id = 0; id < prepared.count; id += 1)
      if (!this.isKept[id]) this.isFreePlace[intAt(prepared.place, id)] = 1
  }

  /** Nothing is kept and nobody has places of their own. */
  get isEmpty(): boolean {
    return !this.options.keeping && !this.options.assigned
  }

  /** The next kept operation of a person in a state. */
  nextOf(layer: Layer, state: number, worker: number): number | undefined {
    return this.kept[worker]?.[layer.keptDone.at(state, worker)]
  }

  /** Whose an operation is by its place; the number of people: anybody's. */
  private ownerOf(id: number): number {
    const owner = this.options.assigned?.[intAt(this.ground.prepared.place, id)] ?? -1
    return owner < 0 ? this.people : owner
  }

  /** Writes work and waste that no kept order holds into the first state, by the person they belong to; the last entry is anybody's. */
  begin(layer: Layer): void {
    const { ground, people, options } = this
    const { prepared, places, waste } = ground
    const isIn = (place: number) => !options.onlyPlaces || options.onlyPlaces.includes(place)
    layer.freeWork.clear(0)
    layer.awayFree.clear(0)
    for (let id = 0; id < prepared.count; id += 1) {
      if (this.isKept[id] || prepared.isDone[id] || !isIn(intAt(prepared.place, id))) continue
      layer.freeWork.add(0, this.ownerOf(id), intAt(prepared.duration, id))
    }
    for (let place = 0; place < prepared.placeCount; place += 1) {
      if (!this.isFreePlace[place] || !isIn(place)) continue
      const owner = options.assigned?.[place] ?? -1
      const at = owner < 0 ? people : owner
      layer.awayFree.add(0, at, itemAt(waste, place).fromAway(itemAt(places, place).start))
    }
  }

  /** Carries the same over into the state that an operation makes. */
  carry(from: Layer, state: number, id: number, worker: number, to: Layer): void {
    const { people } = this
    const { prepared } = this.ground
    const made = to.size
    const owner = this.isKept[id] ? -1 : this.ownerOf(id)
    const ofPlace = this.isFreePlace[intAt(prepared.place, id)] ? this.ownerOf(id) : -1
    const changed = intAt(to.awaySum, made) - intAt(from.awaySum, state)
    for (let one = 0; one <= people; one += 1) {
      const worked = one === owner ? intAt(prepared.duration, id) : 0
      to.freeWork.put(made, one, from.freeWork.at(state, one) - worked)
      to.awayFree.put(made, one, from.awayFree.at(state, one) + (one === ofPlace ? changed : 0))
    }
    for (let one = 0; one < people; one += 1) {
      const isNext = one === worker && this.isKept[id] === 1
      to.keptDone.put(made, one, from.keptDone.at(state, one) + (isNext ? 1 : 0))
    }
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
      (this.isFreePlace[intAt(this.ground.prepared.place, id)] ? lost : 0) -
      intAt(this.ground.prepared.duration, id)
    let longest = latest
    let all = from.freeWork.at(state, people) + from.awayFree.at(state, people)
    if (own === people) all += change
    for (let one = 0; one < people; one += 1) {
      const next = from.keptDone.at(state, one) + (one === worker && this.isKept[id] ? 1 : 0)
      const until =
        endOf(one) +
        (this.keptAhead[one]?.[next] ?? 0) +
        from.freeWork.at(state, one) +
        from.awayFree.at(state, one) +
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
    const id = itemAt(list, at)
    const next = list[at + 1]
    const setup =
      next === undefined
        ? 0
        : itemAt(itemAt(prepared.walk, intAt(prepared.place, id)), intAt(prepared.place, next)) +
          (prepared.tool[id] === prepared.tool[next] ? 0 : prepared.change)
    ahead[at] = intAt(ahead, at + 1) + intAt(prepared.duration, id) + setup
  }
  return ahead
}
