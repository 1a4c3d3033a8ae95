import { Appender } from './append'
import { Candidates } from './candidates'
import { Deadlines } from './deadlines'
import { Layer, mostOpen, none } from './layer'
import type { PassState } from './passState'
import type { Prepared } from './prepared'
import { PlaceProgress, type Progress } from './progress'
import { gapFor, type Span } from './spans'
import { kindsOfPlaces, symmetriesOf } from './symmetry'
import { PlaceWaste, type Wait } from './waste'

/** Order of operations with the person of each, as found. */
export interface FoundOrder {
  readonly operations: readonly number[]
  readonly people: readonly number[]
  readonly makespanSeconds: number
}

export interface PassResult {
  readonly best: FoundOrder | null
  /** No order can be shorter than this; infinite where the pass shows that there is none below the limit. */
  readonly lowerBoundSeconds: number
  /** One person: the best order for each tool that is in the hand at its end. */
  readonly bestByTool: readonly { readonly lastTool: number; readonly found: FoundOrder }[]
}

export interface PassOptions {
  /** States kept per layer. */
  readonly width: number
  /** Only orders that end before this are of interest. */
  readonly below: number
  /** One person who stands at a place with a tool, whatever the problem says. */
  readonly standing?: { readonly place: number; readonly tool: number }
  /** Only these places are worked at; the others count as done. */
  readonly onlyPlaces?: readonly number[]
  /** At most this share of the kept states has the same number of wet places. */
  readonly share?: number
  /** Who works at a place, by place; −1 or absent: anybody. */
  readonly assigned?: readonly number[]
  /** When somebody else has a tool, by tool: spans in order of time. One person only. */
  readonly taken?: ReadonlyMap<number, readonly Span[]>
  /** Seconds by which each person begins later, so that two equal halves do not want the one gun at the same moment. */
  readonly laterSeconds?: readonly number[]
  /** Two people: append in any order, not only by time; needed to be exact, too wide to be useful on more. */
  readonly anyOrder?: boolean
  /** In time order, but something may still start this much before what was appended last. */
  readonly toleranceSeconds?: number
  /** Share of the waste to come by which it is taken to be more than is sure. */
  readonly doubt?: number
  /** No more places than this wet with something that may dry. */
  readonly mostWet?: number
  /** An order to keep, for each person, but for some operations; those are put in between anew. */
  readonly keeping?: { readonly order: FoundOrder; readonly isFree: (operation: number) => boolean }
}

/**
 * Appends one operation per layer to every state it keeps. A state is what is done, where the people are, what they hold, and a
 * temporal network over the instants that still matter, kept closed (longest paths), so that a spray may move later when that
 * keeps a deadline. States that another dominates (same work done, no looser network) are dropped; of the rest the most
 * promising are kept. Whatever was cut gives the lower bound; a pass that cuts nothing is exact.
 */
export class LayeredSearch {
  readonly places: readonly PlaceProgress[]
  /** Places with the same text have the same work. */
  readonly kinds: readonly string[]
  private readonly waste: readonly PlaceWaste[]
  private readonly shortestWayIn: number[] = []
  private readonly deadlines: Deadlines
  private readonly appender: Appender
  private readonly people: number
  private readonly placeCount: number
  private readonly singles: readonly number[]
  private readonly symmetries: readonly (readonly number[])[]
  /** Variables of a network: the start, the people, what is open. */
  private readonly side: number
  /** States that were looked into so far; a measure of effort that is the same on every machine. */
  effort = 0

  constructor(private readonly prepared: Prepared) {
    this.people = prepared.people
    this.placeCount = prepared.placeCount
    this.places = Array.from({ length: this.placeCount }, (_, place) => new PlaceProgress(prepared, place))
    this.waste = this.places.map((progress, place) => {
      const ways = prepared.walk.flatMap((row, from) => (from === place ? [] : [row[place] as number]))
      this.shortestWayIn.push(ways.length === 0 ? 0 : Math.min(...ways))
      return new PlaceWaste(prepared, progress, ways.length === 0 ? Infinity : Math.min(...ways))
    })
    this.singles = [...prepared.isSingle].flatMap((single, tool) => (single ? [tool] : []))
    this.kinds = kindsOfPlaces(prepared)
    this.symmetries = symmetriesOf(prepared)
    this.side = 1 + this.people + mostOpen
    this.deadlines = new Deadlines(prepared, this.places, this.shortestWayIn, this.side)
    this.appender = new Appender(prepared, this.places, this.waste, this.singles, this.deadlines, this.side)
  }

  *pass(options: PassOptions): Generator<void, PassResult> {
    const { prepared, people, placeCount, side, singles } = this
    const { width, below, onlyPlaces } = options
    const area = side * side
    const counted = this.places.map((progress, place) =>
      !onlyPlaces || onlyPlaces.includes(place) ? progress.start.remainingCount : 0,
    )
    const total = counted.reduce((sum, one) => sum + one, 0)
    const hidden = new Uint8Array(placeCount)
    const { keeping } = options
    const isKept = new Uint8Array(prepared.count)
    const kept: number[][] = Array.from({ length: people }, () => [])
    if (keeping) {
      keeping.order.operations.forEach((id, at) => {
        if (keeping.isFree(id)) return
        isKept[id] = 1
        kept[keeping.order.people[at] as number]?.push(id)
      })
    }
    // Seconds each person still needs for the kept operations, from each of them on.
    const keptAhead = kept.map((list) => this.secondsFromEach(list))
    // Work that no kept order holds, by the person it belongs to; the last entry is anybody's.
    const ownerOf = (id: number): number => {
      const owner = options.assigned?.[prepared.place[id] as number] ?? -1
      return owner < 0 ? people : owner
    }
    const freeWork = new Int32Array(people + 1)
    for (let id = 0; id < prepared.count; id += 1) {
      if (
        isKept[id] ||
        prepared.isDone[id] ||
        (onlyPlaces && !onlyPlaces.includes(prepared.place[id] as number))
      )
        continue
      freeWork[ownerOf(id)] = (freeWork[ownerOf(id)] as number) + (prepared.duration[id] as number)
    }
    const isFreePlace = new Uint8Array(placeCount)
    for (let id = 0; id < prepared.count; id += 1)
      if (!isKept[id]) isFreePlace[prepared.place[id] as number] = 1
    if (onlyPlaces)
      for (let place = 0; place < placeCount; place += 1) hidden[place] = onlyPlaces.includes(place) ? 0 : 1
    let from = new Layer(width, placeCount, people, area, singles.length)
    let to = new Layer(width, placeCount, people, area, singles.length)
    const parents: Int32Array[] = []
    const operations: Int32Array[] = []
    const workers: Uint8Array[] = []
    this.begin(from, hidden, options.laterSeconds)
    if (options.standing) {
      from.personPlace[0] = options.standing.place
      from.personTool[0] = options.standing.tool
      from.net[1] = 0
    }
    from.freeWork.set(freeWork)
    from.awayFree.fill(0, 0, people + 1)
    for (let place = 0; place < placeCount; place += 1) {
      if (!isFreePlace[place] || hidden[place]) continue
      const owner = options.assigned?.[place] ?? -1
      const at = owner < 0 ? people : owner
      from.awayFree[at] =
        (from.awayFree[at] as number) +
        (this.waste[place] as PlaceWaste).fromAway((this.places[place] as PlaceProgress).start)
    }
    // An order that is kept, or places left out, tell twins apart.
    const symmetric = !keeping && !onlyPlaces && !options.assigned
    const tolerance = options.toleranceSeconds ?? 0
    const inTime = people > 1 && !options.anyOrder
    const passState: PassState = {
      inTime,
      tolerance,
      assigned: options.assigned,
      taken: options.taken,
      hidden,
    }
    const mostWet = options.mostWet ?? placeCount
    let bound = Infinity

    const candidates = new Candidates()
    const heads = new Map<number, number>()
    const chain = new Int32Array(width)
    const wetCount = new Int32Array(placeCount + 1)
    const quota = Math.ceil(width * (options.share ?? 0.5))

    for (let layer = 0; layer < total; layer += 1) {
      candidates.clear()
      for (let state = 0; state < from.size; state += 1) {
        const net = state * area
        const awaySum = from.awaySum[state] as number
        const remaining = from.remaining[state] as number
        for (let place = 0; place < placeCount; place += 1) {
          if (hidden[place]) continue
          const progress = (this.places[place] as PlaceProgress).states[
            from.progress[state * placeCount + place] as number
          ] as Progress
          const isNew = progress === (this.places[place] as PlaceProgress).start
          if (isNew && symmetric && this.hasTwin(from.symmetries[state] as number, place)) continue
          for (const { id, local } of progress.next) {
            if (!this.isFree(from, state, id, place)) continue
            const nextProgress = (this.places[place] as PlaceProgress).step(progress, local)
            const waste = this.waste[place] as PlaceWaste
            const awayBefore = waste.fromAway(progress)
            const awayAfter = waste.fromAway(nextProgress)
            for (let worker = 0; worker < people; worker += 1) {
              const at = from.personPlace[state * people + worker] as number
              const owner = options.assigned?.[place] ?? -1
              if (owner >= 0 && owner !== worker) continue
              if (
                isKept[id]
                  ? kept[worker]?.[from.keptDone[state * people + worker] as number] !== id
                  : worker > 0 && !keeping && !options.assigned && this.sameAsFirst(from, state)
              )
                continue
              const held = from.personTool[state * people + worker] as number
              const tool = prepared.tool[id] as number
              const setup =
                at < 0
                  ? 0
                  : ((prepared.walk[at] as readonly number[])[place] as number) +
                    (held === tool ? 0 : prepared.change)
              if (
                this.deadlines.isLost(
                  from,
                  state,
                  place,
                  at,
                  worker,
                  passState,
                  setup + (prepared.duration[id] as number),
                )
              )
                continue
              let start = (from.net[net + 1 + worker] as number) + setup
              const openCount = from.openCount[state] as number
              for (const link of prepared.before[id] as readonly { other: number; min: number }[]) {
                for (let open = 0; open < openCount; open += 1) {
                  if (from.open[state * mostOpen + open] !== link.other) continue
                  const ready = (from.net[net + 1 + people + open] as number) + link.min
                  if (ready > start) start = ready
                }
              }
              if (options.taken)
                start = gapFor(options.taken.get(tool), start, prepared.duration[id] as number).start
              if (inTime && start + tolerance < (from.lastStart[state] as number)) continue
              const end = start + (prepared.duration[id] as number)
              const left = remaining - (prepared.duration[id] as number)
              let sum = end
              let latest = end
              for (let other = 0; other < people; other += 1) {
                if (other === worker) continue
                const theirs = from.net[net + 1 + other] as number
                // In time order nothing starts before this any more.
                sum += inTime && start - tolerance > theirs ? start - tolerance : theirs
                if (theirs > latest) latest = theirs
              }
              const waits = this.waitsAt(from, state, place, nextProgress, id, end)
              let ahead = awaySum - awayBefore + awayAfter
              ahead -= awayAfter - waste.fromHere(nextProgress, tool, waits)
              if (people > 1) ahead -= this.savedByOthers(from, state, worker, place)
              let sure: number
              if (people === 1) sure = end + left + ahead
              else sure = Math.max(latest, Math.ceil((sum + left) / people))
              if (sure >= below) continue
              let rank =
                people === 1
                  ? sure + ahead * (options.doubt ?? 0)
                  : Math.max(latest, (sum + left + ahead * (1 + (options.doubt ?? 0))) / people)
              if (people > 1 && (keeping || options.assigned)) {
                // Everybody's end as far as it is settled whose work is whose.
                const own = ownerOf(id)
                const lost = isFreePlace[place] ? waste.fromHere(nextProgress, tool, waits) - awayBefore : 0
                let longest = latest
                let all =
                  (from.freeWork[state * (people + 1) + people] as number) +
                  (from.awayFree[state * (people + 1) + people] as number)
                if (own === people && !isKept[id]) all += lost - (prepared.duration[id] as number)
                for (let one = 0; one < people; one += 1) {
                  const next =
                    (from.keptDone[state * people + one] as number) + (one === worker && isKept[id] ? 1 : 0)
                  const theirs = from.net[net + 1 + one] as number
                  let until =
                    one === worker ? end : inTime && start - tolerance > theirs ? start - tolerance : theirs
                  until +=
                    (keptAhead[one]?.[next] ?? 0) + (from.freeWork[state * (people + 1) + one] as number)
                  until += from.awayFree[state * (people + 1) + one] as number
                  if (one === own && !isKept[id]) until += lost - (prepared.duration[id] as number)
                  all += until
                  if (until > longest) longest = until
                }
                rank = (longest + Math.max(longest, all / people)) / 2
              }
              candidates.add(rank, state, id, worker, sure)
            }
          }
        }
      }
      const order = candidates.inOrder()
      const found = order.length
      to.size = 0
      heads.clear()
      wetCount.fill(0)
      const layerParent = new Int32Array(Math.min(width, found))
      const layerOperation = new Int32Array(Math.min(width, found))
      const layerWorker = new Uint8Array(Math.min(width, found))
      for (let rank = 0; rank < found; rank += 1) {
        const candidate = order[rank] as number
        if (to.size === width) {
          for (let rest = rank; rest < found; rest += 1) {
            const sure = candidates.sure[order[rest] as number] as number
            if (sure < bound) bound = sure
            if (people === 1 && !options.doubt) break
          }
          break
        }
        this.effort += 1
        const state = candidates.parent[candidate] as number
        const id = candidates.operation[candidate] as number
        const worker = candidates.worker[candidate] as number
        const verdict = this.appender.append(from, state, id, worker, to, passState)
        if (verdict === 'tooMany') {
          bound = Math.min(bound, candidates.sure[candidate] as number)
          continue
        }
        if (verdict !== 'made') continue
        const hash = to.hashOf(to.size)
        let dominated = false
        const head = heads.get(hash)
        for (let other = head ?? -1; other >= 0; other = chain[other] as number) {
          if (to.dominates(other, to.size)) {
            dominated = true
            break
          }
        }
        if (dominated) continue
        for (let one = 0; one <= people; one += 1)
          to.freeWork[to.size * (people + 1) + one] =
            (from.freeWork[state * (people + 1) + one] as number) -
            (!isKept[id] && one === ownerOf(id) ? (prepared.duration[id] as number) : 0)
        for (let one = 0; one <= people; one += 1)
          to.awayFree[to.size * (people + 1) + one] =
            (from.awayFree[state * (people + 1) + one] as number) +
            (isFreePlace[prepared.place[id] as number] && one === ownerOf(id)
              ? (to.awaySum[to.size] as number) - (from.awaySum[state] as number)
              : 0)
        for (let one = 0; one < people; one += 1)
          to.keptDone[to.size * people + one] =
            (from.keptDone[state * people + one] as number) + (one === worker ? (isKept[id] as number) : 0)
        to.symmetries[to.size] = this.fixing(from.symmetries[state] as number, prepared.place[id] as number)
        const wet = to.wetPlaces(to.size, prepared)
        if (wetCount[wet] === quota || wet > mostWet) {
          bound = Math.min(bound, candidates.sure[candidate] as number)
          continue
        }
        wetCount[wet] = (wetCount[wet] as number) + 1
        chain[to.size] = head ?? -1
        heads.set(hash, to.size)
        layerParent[to.size] = state
        layerOperation[to.size] = id
        layerWorker[to.size] = worker
        to.size += 1
      }
      parents.push(layerParent)
      operations.push(layerOperation)
      workers.push(layerWorker)
      const swap = from
      from = to
      to = swap
      if (from.size === 0) return { best: null, lowerBoundSeconds: bound, bestByTool: [] }
      yield
    }
    const foundAt = (state: number): FoundOrder => {
      const order: number[] = []
      const who: number[] = []
      let at = state
      for (let layer = total - 1; layer >= 0; layer -= 1) {
        order.push((operations[layer] as Int32Array)[at] as number)
        who.push((workers[layer] as Uint8Array)[at] as number)
        at = (parents[layer] as Int32Array)[at] as number
      }
      return { operations: order.reverse(), people: who.reverse(), makespanSeconds: makespanAt(state) }
    }
    const makespanAt = (state: number): number => {
      let makespan = 0
      for (let worker = 0; worker < people; worker += 1)
        if (from.personPlace[state * people + worker] !== -1)
          makespan = Math.max(makespan, from.net[state * area + 1 + worker] as number)
      return makespan
    }
    let best = -1
    const byTool = new Map<number, number>()
    for (let state = 0; state < from.size; state += 1) {
      const makespan = makespanAt(state)
      if (best < 0 || makespan < makespanAt(best)) best = state
      if (people === 1) {
        const tool = from.personTool[state] as number
        const known = byTool.get(tool)
        if (known === undefined || makespan < makespanAt(known)) byTool.set(tool, state)
      }
    }
    return {
      best: foundAt(best),
      lowerBoundSeconds: Math.min(bound, makespanAt(best)),
      bestByTool: [...byTool].map(([lastTool, state]) => ({ lastTool, found: foundAt(state) })),
    }
  }

  /** A bound for the whole problem before any search: work and the least waste of each place, shared by all. */
  rootBound(): number {
    const { prepared, people } = this
    const starts = prepared.problem.peopleAtStart
    const work = this.places.reduce((sum, { start }) => sum + start.remainingSeconds, 0)
    const available = Array.from({ length: people }, (_, one) => starts?.[one]?.availableAtSeconds ?? 0)
    const sum = available.reduce((all, one) => all + one, 0)
    if (people > 1) {
      // However many work at it, a place takes its longest chain of work and dwells.
      const chains = this.places.map((progress) =>
        Math.max(
          0,
          ...progress.ids.map((id, local) =>
            progress.start.done[local]
              ? 0
              : progress.chainBefore(progress.start, local) + (prepared.duration[id] as number),
          ),
        ),
      )
      return Math.max(
        ...available,
        Math.min(...available) + Math.max(0, ...chains),
        Math.ceil((work + sum) / people),
      )
    }
    const lost = this.places.map(({ start }, place) => (this.waste[place] as PlaceWaste).fromAway(start))
    const entries = this.places.map((_, place) =>
      Math.max(0, ...prepared.walk.map((row) => row[place] as number)),
    )
    // The first way in is free, and one who is somewhere already may have none.
    return Math.max(0, sum + work + lost.reduce((all, one) => all + one, 0) - Math.max(0, ...entries))
  }

  /** From each operation of a person's list to its end: work, walks and tool changes. */
  private secondsFromEach(list: readonly number[]): Int32Array {
    const { prepared } = this
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

  private begin(layer: Layer, hidden: Uint8Array, later: readonly number[] = []): void {
    const { prepared, people, placeCount, side, singles } = this
    const { problem } = prepared
    layer.size = 1
    let away = 0
    let remaining = 0
    for (let place = 0; place < placeCount; place += 1) {
      const start = (this.places[place] as PlaceProgress).start
      layer.progress[place] = start.index
      if (hidden[place]) continue
      away += (this.waste[place] as PlaceWaste).fromAway(start)
      remaining += start.remainingSeconds
    }
    layer.awaySum[0] = away
    layer.remaining[0] = remaining
    layer.symmetries[0] = 2 ** this.symmetries.length - 1
    for (let single = 0; single < singles.length; single += 1) layer.lastUser[single] = -1
    const open: number[] = []
    for (const id of problem.done?.keys() ?? []) {
      const matters = (prepared.after[id] as readonly { other: number; min: number; max: number }[]).some(
        ({ other, min, max }) =>
          !prepared.isDone[other] && (max >= 0 || (problem.done?.get(id) ?? 0) + min > 0),
      )
      if (matters) open.push(id)
    }
    open.sort((a, b) => a - b)
    if (open.length > mostOpen) throw new Error(`More than ${mostOpen} chemicals wet at once`)
    layer.openCount[0] = open.length
    const instants = [0]
    for (let worker = 0; worker < people; worker += 1) {
      const person = problem.peopleAtStart?.[worker]
      layer.personPlace[worker] = person?.place ?? -1
      layer.personTool[worker] =
        person?.place == null || person.tool === null ? -1 : toolNumber(prepared, person.tool)
      instants.push((person?.availableAtSeconds ?? 0) + (later[worker] ?? 0))
    }
    for (const [at, id] of open.entries()) {
      layer.open[at] = id
      instants.push(problem.done?.get(id) ?? 0)
    }
    const fixed = (variable: number) => variable === 0 || variable > people
    for (let a = 0; a < instants.length; a += 1) {
      for (let b = 0; b < instants.length; b += 1) {
        // People may start later than they could; what is past stands still.
        layer.net[a * side + b] = fixed(a)
          ? (instants[b] as number) - (instants[a] as number)
          : a === b
            ? 0
            : none
      }
    }
  }

  private isFree(layer: Layer, state: number, id: number, place: number): boolean {
    for (const { other } of this.prepared.before[id] as readonly { other: number }[]) {
      const where = this.prepared.place[other] as number
      if (where === place) continue
      const there = this.places[where] as PlaceProgress
      const progress = there.states[layer.progress[state * this.placeCount + where] as number] as Progress
      if (!progress.done[there.localOf[other] as number]) return false
    }
    return true
  }

  /** Whether a place not yet touched is the image of an earlier one under what still changes nothing. */
  private hasTwin(remaining: number, place: number): boolean {
    for (let one = 0; one < this.symmetries.length; one += 1)
      if (
        (remaining & (1 << one)) !== 0 &&
        ((this.symmetries[one] as readonly number[])[place] as number) < place
      )
        return true
    return false
  }

  /** The symmetries that leave one more place where it is. */
  private fixing(remaining: number, place: number): number {
    let left = remaining
    for (let one = 0; one < this.symmetries.length; one += 1)
      if ((this.symmetries[one] as readonly number[])[place] !== place) left &= ~(1 << one)
    return left
  }

  /** Waste that the others do not meet because they are where they are. */
  private savedByOthers(layer: Layer, state: number, worker: number, place: number): number {
    const { people, placeCount } = this
    let saved = 0
    for (let other = 0; other < people; other += 1) {
      const at = layer.personPlace[state * people + other] as number
      if (other === worker || at < 0 || at === place) continue
      const progress = (this.places[at] as PlaceProgress).states[
        layer.progress[state * placeCount + at] as number
      ] as Progress
      const waste = this.waste[at] as PlaceWaste
      saved +=
        waste.fromAway(progress) -
        waste.fromHere(progress, layer.personTool[state * people + other] as number, [])
    }
    return saved
  }

  private sameAsFirst(layer: Layer, state: number): boolean {
    const { people, side } = this
    const first = state * people
    return (
      layer.personPlace[first] === layer.personPlace[first + 1] &&
      layer.personTool[first] === layer.personTool[first + 1] &&
      layer.personPlace[first] === -1 &&
      layer.net[state * side * side + 1] === layer.net[state * side * side + 2]
    )
  }

  /** Dwells at a place that have not run out when an operation ends there. */
  private waitsAt(
    layer: Layer,
    state: number,
    place: number,
    progress: Progress,
    id: number,
    end: number,
  ): Wait[] {
    const { prepared, people, side } = this
    const here = this.places[place] as PlaceProgress
    const waits: Wait[] = []
    const openCount = layer.openCount[state] as number
    for (let open = 0; open < openCount; open += 1) {
      const other = layer.open[state * mostOpen + open] as number
      if (prepared.place[other] !== place) continue
      const ended = layer.net[state * side * side + 1 + people + open] as number
      for (const link of prepared.after[other] as readonly { other: number; min: number }[]) {
        const local = here.local.get(link.other)
        const seconds = link.min - (end - ended)
        if (local !== undefined && seconds > 0 && !progress.done[local]) waits.push({ local, seconds })
      }
    }
    for (const link of prepared.after[id] as readonly { other: number; min: number }[]) {
      const local = here.local.get(link.other)
      if (local !== undefined && link.min > 0) waits.push({ local, seconds: link.min })
    }
    return waits
  }
}

const toolNumber = (prepared: Prepared, tool: string): number => {
  const known = prepared.problem.operations.find((operation) => operation.tool === tool)
  return known ? (prepared.tool[known.id] as number) : prepared.toolCount
}
