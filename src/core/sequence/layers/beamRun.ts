import { byteAt, intAt, itemAt } from '@/core/sequence/problem/packed'
import { Candidates } from './candidates'
import { writeFirstState } from './firstState'
import type { Ground } from './ground'
import { KeptOrder } from './keptOrder'
import { Layer } from './layer'
import type { FoundOrder } from '@/core/sequence/problem/foundOrder'
import type { PassOptions, PassResult } from './passOptions'
import { Successors } from './successors'
import type { PassState } from './passState'
import type { Progress } from './progress'
import { gapFor } from '@/core/sequence/problem/spans'
import { fixing, hasTwin } from './symmetry'

/** What one layer's states came from. */
interface Trace {
  readonly parent: Int32Array
  readonly operation: Int32Array
  readonly worker: Uint8Array
}

/** One run through all layers: what may come next is proposed from every kept state, and the most promising states are kept. */
export class BeamRun {
  private from: Layer
  private to: Layer
  private readonly total: number
  private readonly hidden: Uint8Array
  private readonly kept: KeptOrder
  private readonly outlook: Successors
  private readonly state: PassState
  /** Twins are told apart by an order that is kept and by places left out. */
  private readonly isSymmetric: boolean
  private readonly quota: number
  private readonly maxWet: number
  private readonly candidates = new Candidates()
  /** The last state of each hash, and before each state the one with the same hash. */
  private readonly heads = new Map<number, number>()
  private readonly chain: Int32Array
  private readonly wetCount: Int32Array
  private readonly traces: Trace[] = []
  private bound = Infinity

  constructor(
    private readonly ground: Ground,
    private readonly options: PassOptions,
    /** Counts the states looked into. */
    private readonly meter: { effort: number },
  ) {
    const { prepared, places, singles, side } = ground
    const { people, placeCount } = prepared
    const { width, onlyPlaces, standing } = options
    const isIn = (place: number) => !onlyPlaces || onlyPlaces.includes(place)
    this.total = places.reduce(
      (sum, progress, place) => sum + (isIn(place) ? progress.start.remainingCount : 0),
      0,
    )
    this.hidden = Uint8Array.from(places, (_, place) => (isIn(place) ? 0 : 1))
    this.kept = new KeptOrder(ground, options)
    this.outlook = new Successors(ground)
    this.isSymmetric = this.kept.isEmpty && !onlyPlaces
    this.state = {
      inTime: people > 1 && !options.anyOrder,
      assigned: options.assigned,
      taken: options.taken,
      hidden: this.hidden,
    }
    this.quota = Math.ceil(width * (options.share ?? 0.5))
    this.maxWet = options.maxWet ?? placeCount
    this.chain = new Int32Array(width)
    this.wetCount = new Int32Array(placeCount + 1)
    const layer = () => new Layer(width, placeCount, people, side, singles.length)
    this.from = layer()
    this.to = layer()
    writeFirstState(ground, this.from, this.hidden)
    if (standing) {
      this.from.personPlace.put(0, 0, standing.place)
      this.from.personTool.put(0, 0, standing.tool)
      this.from.net.put(0, 0, 1, 0)
    }
    this.kept.begin(this.from)
  }

  *run(): Generator<void, PassResult> {
    for (let layer = 0; layer < this.total; layer += 1) {
      this.candidates.clear()
      for (let state = 0; state < this.from.size; state += 1) this.proposeFrom(state)
      this.keepBest()
      const swap = this.from
      this.from = this.to
      this.to = swap
      if (this.from.size === 0) return { best: null, lowerBoundSeconds: this.bound, bestByTool: [] }
      yield
    }
    return this.result()
  }

  /** Proposes every operation that may come next, by every person who may do it. */
  private proposeFrom(state: number): void {
    const { ground, from, hidden, kept, outlook } = this
    const { prepared, symmetries } = ground
    const { people, placeCount } = prepared
    const { assigned } = this.options
    const isFresh = kept.isEmpty
    for (let place = 0; place < placeCount; place += 1) {
      if (hidden[place]) continue
      const here = itemAt(ground.places, place)
      const progress = itemAt(here.states, from.progress.at(state, place))
      const isNew = progress === here.start
      if (isNew && this.isSymmetric && hasTwin(symmetries, intAt(from.symmetries, state), place)) continue
      const owner = assigned?.[place] ?? -1
      for (const { id, local } of progress.next) {
        if (!outlook.isFree(from, state, id, place)) continue
        const next = here.step(progress, local)
        for (let worker = 0; worker < people; worker += 1) {
          if (owner >= 0 && owner !== worker) continue
          if (
            kept.isKept[id]
              ? kept.nextOf(from, state, worker) !== id
              : worker > 0 && isFresh && outlook.sameAsFirst(from, state)
          )
            continue
          this.propose(state, place, progress, next, id, worker)
        }
      }
    }
  }

  private propose(
    state: number,
    place: number,
    progress: Progress,
    next: Progress,
    id: number,
    worker: number,
  ): void {
    const { ground, from, options } = this
    const { prepared, deadlines } = ground
    const { people } = prepared
    const duration = intAt(prepared.duration, id)
    const tool = intAt(prepared.tool, id)
    const at = from.personPlace.at(state, worker)
    const held = from.personTool.at(state, worker)
    const setup =
      at < 0 ? 0 : itemAt(itemAt(prepared.walk, at), place) + (held === tool ? 0 : prepared.change)
    if (deadlines.isLost(from, state, place, at, worker, this.state, setup + duration)) return
    let start = from.net.at(state, 0, 1 + worker) + setup
    const openCount = byteAt(from.openCount, state)
    for (const link of itemAt(prepared.before, id)) {
      for (let open = 0; open < openCount; open += 1) {
        if (from.open.at(state, open) !== link.other) continue
        const ready = from.net.at(state, 0, 1 + people + open) + link.min
        if (ready > start) start = ready
      }
    }
    if (options.taken) start = gapFor(options.taken.get(tool), start, duration).start
    const { inTime } = this.state
    if (inTime && start < intAt(from.lastStart, state)) return
    const end = start + duration
    const waste = itemAt(ground.waste, place)
    const awayBefore = waste.fromAway(progress)
    const wasteHere = waste.fromHere(next, tool, this.outlook.waitsAt(from, state, place, next, id, end))
    const ahead = intAt(from.awaySum, state) - awayBefore + wasteHere
    const left = intAt(from.remaining, state) - duration
    const doubt = options.doubt ?? 0
    if (people === 1) {
      const sure = end + left + ahead
      if (sure < options.below) this.candidates.add(sure + ahead * doubt, state, id, worker, sure)
      return
    }
    let sum = end
    let latest = end
    for (let other = 0; other < people; other += 1) {
      if (other === worker) continue
      const theirs = from.net.at(state, 0, 1 + other)
      // In time order nothing starts before this any more.
      sum += inTime && start > theirs ? start : theirs
      if (theirs > latest) latest = theirs
    }
    const sure = Math.max(latest, Math.ceil((sum + left) / people))
    if (sure >= options.below) return
    const rank = this.kept.isEmpty
      ? Math.max(
          latest,
          (sum + left + (ahead - this.outlook.savedByOthers(from, state, worker, place)) * (1 + doubt)) /
            people,
        )
      : this.kept.rank(
          from,
          state,
          id,
          worker,
          (one) => {
            const theirs = from.net.at(state, 0, 1 + one)
            return one === worker ? end : inTime && start > theirs ? start : theirs
          },
          latest,
          wasteHere - awayBefore,
        )
    this.candidates.add(rank, state, id, worker, sure)
  }

  /** Makes states of the most promising candidates until the layer is full; what is cut off lowers the bound. */
  private keepBest(): void {
    const { candidates, from, to, options, ground, kept, heads, chain, wetCount } = this
    const { prepared } = ground
    const { width } = options
    const order = candidates.inOrder()
    const most = Math.min(width, order.length)
    const trace = {
      parent: new Int32Array(most),
      operation: new Int32Array(most),
      worker: new Uint8Array(most),
    }
    to.size = 0
    heads.clear()
    wetCount.fill(0)
    for (let rank = 0; rank < order.length; rank += 1) {
      if (to.size === width) {
        this.cutOff(order.subarray(rank))
        break
      }
      const candidate = intAt(order, rank)
      this.meter.effort += 1
      const state = intAt(candidates.parent, candidate)
      const id = intAt(candidates.operation, candidate)
      const worker = byteAt(candidates.worker, candidate)
      const verdict = ground.appender.append(from, state, id, worker, to, this.state)
      if (verdict === 'tooMany') this.cutOff(order.subarray(rank, rank + 1))
      if (verdict !== 'made') continue
      const hash = to.hashOf(to.size)
      const head = heads.get(hash) ?? -1
      if (this.isDominated(head)) continue
      if (!kept.isEmpty) kept.carry(from, state, id, worker, to)
      to.symmetries[to.size] = fixing(
        ground.symmetries,
        intAt(from.symmetries, state),
        intAt(prepared.place, id),
      )
      const wet = to.wetPlaces(to.size, prepared)
      if (wetCount[wet] === this.quota || wet > this.maxWet) {
        this.cutOff(order.subarray(rank, rank + 1))
        continue
      }
      wetCount[wet] = intAt(wetCount, wet) + 1
      chain[to.size] = head
      heads.set(hash, to.size)
      trace.parent[to.size] = state
      trace.operation[to.size] = id
      trace.worker[to.size] = worker
      to.size += 1
    }
    this.traces.push(trace)
  }

  /** Whether the state just made is no better in anything than one that has the same work done. */
  private isDominated(head: number): boolean {
    const { to, chain } = this
    for (let other = head; other >= 0; other = intAt(chain, other))
      if (to.dominates(other, to.size)) return true
    return false
  }

  private cutOff(cut: Int32Array): void {
    for (const candidate of cut) {
      const sure = intAt(this.candidates.sure, candidate)
      if (sure < this.bound) this.bound = sure
      // One person's candidates come in the order of what is sure; the first of them is the least.
      if (this.ground.prepared.people === 1 && !this.options.doubt) return
    }
  }

  private result(): PassResult {
    const { from } = this
    const { people } = this.ground.prepared
    let best = -1
    const byTool = new Map<number, number>()
    for (let state = 0; state < from.size; state += 1) {
      const makespan = this.makespanAt(state)
      if (best < 0 || makespan < this.makespanAt(best)) best = state
      if (people > 1) continue
      const tool = from.personTool.at(state, 0)
      const known = byTool.get(tool)
      if (known === undefined || makespan < this.makespanAt(known)) byTool.set(tool, state)
    }
    return {
      best: this.foundAt(best),
      lowerBoundSeconds: Math.min(this.bound, this.makespanAt(best)),
      bestByTool: [...byTool].map(([lastTool, state]) => ({ lastTool, found: this.foundAt(state) })),
    }
  }

  private makespanAt(state: number): number {
    const { from } = this
    const { prepared } = this.ground
    let makespan = 0
    for (let worker = 0; worker < prepared.people; worker += 1)
      if (from.personPlace.at(state, worker) !== -1)
        makespan = Math.max(makespan, from.net.at(state, 0, 1 + worker))
    return makespan
  }

  /** The order that led to a state of the last layer. */
  private foundAt(state: number): FoundOrder {
    const operations: number[] = []
    const people: number[] = []
    let at = state
    for (const trace of [...this.traces].reverse()) {
      operations.push(intAt(trace.operation, at))
      people.push(byteAt(trace.worker, at))
      at = intAt(trace.parent, at)
    }
    return {
      operations: operations.reverse(),
      people: people.reverse(),
      makespanSeconds: this.makespanAt(state),
    }
  }
}
