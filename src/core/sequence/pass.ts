import { Candidates } from './candidates'
import { writeFirstState } from './firstState'
import type { Ground } from './ground'
import { KeptOrder } from './keptOrder'
import { Layer, mostOpen } from './layer'
import type { FoundOrder, PassOptions, PassResult } from './passOptions'
import { Outlook } from './outlook'
import type { PassState } from './passState'
import type { PlaceProgress, Progress } from './progress'
import { gapFor } from './spans'
import { fixing, hasTwin } from './symmetry'
import type { PlaceWaste } from './waste'

/** What one layer's states came from. */
interface Trace {
  readonly parent: Int32Array
  readonly operation: Int32Array
  readonly worker: Uint8Array
}

type Link = { readonly other: number; readonly min: number }

/** One run through all layers: what may come next is proposed from every kept state, and the most promising states are kept. */
export class Pass {
  private from: Layer
  private to: Layer
  private readonly total: number
  private readonly hidden: Uint8Array
  private readonly kept: KeptOrder
  private readonly outlook: Outlook
  private readonly state: PassState
  /** Twins are told apart by an order that is kept and by places left out. */
  private readonly isSymmetric: boolean
  private readonly quota: number
  private readonly mostWet: number
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
    this.outlook = new Outlook(ground)
    this.isSymmetric = this.kept.isEmpty && !onlyPlaces
    this.state = {
      inTime: people > 1 && !options.anyOrder,
      assigned: options.assigned,
      taken: options.taken,
      hidden: this.hidden,
    }
    this.quota = Math.ceil(width * (options.share ?? 0.5))
    this.mostWet = options.mostWet ?? placeCount
    this.chain = new Int32Array(width)
    this.wetCount = new Int32Array(placeCount + 1)
    const layer = () => new Layer(width, placeCount, people, side * side, singles.length)
    this.from = layer()
    this.to = layer()
    writeFirstState(ground, this.from, this.hidden)
    if (standing) {
      this.from.personPlace[0] = standing.place
      this.from.personTool[0] = standing.tool
      this.from.net[1] = 0
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
      const here = ground.places[place] as PlaceProgress
      const progress = here.states[from.progress[state * placeCount + place] as number] as Progress
      const isNew = progress === here.start
      if (isNew && this.isSymmetric && hasTwin(symmetries, from.symmetries[state] as number, place)) continue
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
    const { prepared, deadlines, side } = ground
    const { people } = prepared
    const duration = prepared.duration[id] as number
    const tool = prepared.tool[id] as number
    const at = from.personPlace[state * people + worker] as number
    const held = from.personTool[state * people + worker] as number
    const setup =
      at < 0
        ? 0
        : ((prepared.walk[at] as readonly number[])[place] as number) + (held === tool ? 0 : prepared.change)
    if (deadlines.isLost(from, state, place, at, worker, this.state, setup + duration)) return
    const net = state * side * side
    let start = (from.net[net + 1 + worker] as number) + setup
    const openCount = from.openCount[state] as number
    for (const link of prepared.before[id] as readonly Link[]) {
      for (let open = 0; open < openCount; open += 1) {
        if (from.open[state * mostOpen + open] !== link.other) continue
        const ready = (from.net[net + 1 + people + open] as number) + link.min
        if (ready > start) start = ready
      }
    }
    if (options.taken) start = gapFor(options.taken.get(tool), start, duration).start
    const { inTime } = this.state
    if (inTime && start < (from.lastStart[state] as number)) return
    const end = start + duration
    const waste = ground.waste[place] as PlaceWaste
    const awayBefore = waste.fromAway(progress)
    const wasteHere = waste.fromHere(next, tool, this.outlook.waitsAt(from, state, place, next, id, end))
    const ahead = (from.awaySum[state] as number) - awayBefore + wasteHere
    const left = (from.remaining[state] as number) - duration
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
      const theirs = from.net[net + 1 + other] as number
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
            const theirs = from.net[net + 1 + one] as number
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
      const candidate = order[rank] as number
      this.meter.effort += 1
      const state = candidates.parent[candidate] as number
      const id = candidates.operation[candidate] as number
      const worker = candidates.worker[candidate] as number
      const verdict = ground.appender.append(from, state, id, worker, to, this.state)
      if (verdict === 'tooMany') this.cutOff(order.subarray(rank, rank + 1))
      if (verdict !== 'made') continue
      const hash = to.hashOf(to.size)
      const head = heads.get(hash) ?? -1
      if (this.isDominated(head)) continue
      if (!kept.isEmpty) kept.carry(from, state, id, worker, to)
      to.symmetries[to.size] = fixing(
        ground.symmetries,
        from.symmetries[state] as number,
        prepared.place[id] as number,
      )
      const wet = to.wetPlaces(to.size, prepared)
      if (wetCount[wet] === this.quota || wet > this.mostWet) {
        this.cutOff(order.subarray(rank, rank + 1))
        continue
      }
      wetCount[wet] = (wetCount[wet] as number) + 1
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
    for (let other = head; other >= 0; other = chain[other] as number)
      if (to.dominates(other, to.size)) return true
    return false
  }

  private cutOff(cut: Int32Array): void {
    for (const candidate of cut) {
      const sure = this.candidates.sure[candidate] as number
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
      const tool = from.personTool[state] as number
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
    const { prepared, side } = this.ground
    let makespan = 0
    for (let worker = 0; worker < prepared.people; worker += 1)
      if (from.personPlace[state * prepared.people + worker] !== -1)
        makespan = Math.max(makespan, from.net[state * side * side + 1 + worker] as number)
    return makespan
  }

  /** The order that led to a state of the last layer. */
  private foundAt(state: number): FoundOrder {
    const operations: number[] = []
    const people: number[] = []
    let at = state
    for (const trace of [...this.traces].reverse()) {
      operations.push(trace.operation[at] as number)
      people.push(trace.worker[at] as number)
      at = trace.parent[at] as number
    }
    return {
      operations: operations.reverse(),
      people: people.reverse(),
      makespanSeconds: this.makespanAt(state),
    }
  }
}
