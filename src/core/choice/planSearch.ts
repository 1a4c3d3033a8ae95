import { costCount, costKinds, noMoreThan, type Cost } from './cost'
import { bondedIndex, filmIndex, type Need } from './need'
import type { Option } from './option'
import { roleBitsOf } from './role'
import { SearchTable } from './searchTable'
import { hair, maxStages, type Found, type SearchRules } from './stages'

/** What is known on the way to a plan: how far it is, what is pinned or filled already, and what came last. */
interface Beginning {
  readonly depth: number
  /** Stages after which it has to be done. */
  readonly limit: number
  /** One bit a pinned product that is in. */
  readonly pins: number
  /** One bit a role that is filled. */
  readonly filled: number
  /** The option before; -1 for none. */
  readonly last: number
  /** Soils that are missing, as shares of what is wanted of each. */
  readonly missingShares: number
}

/** What a stage does to a beginning, as bits. */
const helpsBit = 1
const metBit = 2

/**
 * Depth-first search over ordered stages, with pruning that loses no efficient plan. Costs only grow: a beginning is
 * dropped when a finished plan costs no more than it would with the least it still has to spend.
 */
export class PlanSearch {
  front: readonly Found[]
  private readonly table: SearchTable
  private readonly required: Float64Array
  private readonly sums: readonly Float64Array[]
  private readonly costs: readonly Float64Array[]
  private readonly stages = new Int32Array(maxStages)
  private readonly least = new Float64Array(costCount)
  private readonly pinBits: readonly number[]
  private readonly roleBits: readonly number[]
  private readonly allPins: number
  /** Set by `add`: soils still missing after it, as shares. */
  private missingAfter = 0

  constructor(
    options: readonly Option[],
    private readonly need: Need,
    private readonly rules: SearchRules,
    guesses: readonly Found[],
  ) {
    this.front = guesses
    this.table = new SearchTable(options, rules.dryStart, need.required)
    this.required = Float64Array.from(need.required, (wanted) => wanted - hair)
    this.sums = Array.from({ length: maxStages + 1 }, () => new Float64Array(this.table.soils))
    this.costs = Array.from({ length: maxStages + 1 }, () => new Float64Array(costCount))
    const pinned = rules.pinned.filter((id) => options.some(({ product }) => product.id === id))
    // One bit a pinned product; most options have none.
    this.pinBits = options.map(({ product }) =>
      pinned.includes(product.id) ? 1 << pinned.indexOf(product.id) : 0,
    )
    this.allPins = (1 << pinned.length) - 1
    // What is pinned is asked for beside the one of its role.
    this.roleBits = options.map((option, at) => ((this.pinBits[at] as number) === 0 ? roleBitsOf(option) : 0))
  }

  /** All efficient plans of so many stages at most, beside those that are known. */
  upTo(limit: number): void {
    const missingShares = this.need.required.filter((wanted) => wanted > hair).length
    this.grow({ depth: 0, limit, pins: 0, filled: 0, last: -1, missingShares })
  }

  /** Goes on from a beginning with every option that may come next. */
  private grow(from: Beginning): void {
    const { table, required } = this
    const before = this.sums[from.depth] as Float64Array
    const left = from.limit - from.depth - 1
    // What the later stages cannot make up for, this one has to do: options that do less come into question no more.
    const guided = from.pins === this.allPins
    const neediest = guided ? table.neediest(before, required) : 0
    const missing = (required[neediest] as number) - (before[neediest] as number)
    const atLeastNow = missing - left * (table.best[neediest] as number) - hair
    const worthAtLeast = guided ? from.missingShares - left * table.bestWorth - hair : -1
    const order = table.byEffect[neediest] as Int32Array
    const filmIsOff = this.isFilmOff(from.depth)
    const wasOff = from.depth > 0 && this.isFilmOff(from.depth - 1)
    for (let step = 0; step < table.size; step += 1) {
      const index = guided ? (order[step] as number) : step
      if (guided && (table.most[index * table.soils + neediest] as number) < atLeastNow) break
      if ((table.worth[index] as number) < worthAtLeast) continue
      if (this.mayFollow(from, index, filmIsOff, wasOff)) this.follow(from, index, filmIsOff, left)
    }
  }

  private isFilmOff(depth: number): boolean {
    return ((this.sums[depth] as Float64Array)[filmIndex] as number) >= this.need.filmClear - hair
  }

  /** Whether an option may come next: its role is free, and no other order of the same stages stands for this one. */
  private mayFollow(
    { depth, pins, filled, last }: Beginning,
    index: number,
    filmIsOff: boolean,
    wasOff: boolean,
  ): boolean {
    if ((filled & (this.roleBits[index] as number)) !== 0 || (pins & (this.pinBits[index] as number)) !== 0)
      return false
    const { ironAlone } = this.table
    const isIron = ironAlone[index] === 1
    if (isIron && !filmIsOff && this.rules.ironWaitsForWash) return false
    // Once the film is off, iron removers are like all others; where the order makes no difference, one order is enough.
    const swappable = depth >= (this.rules.dryStart ? 2 : 1) && last >= 0 && (wasOff || ironAlone[last] !== 1)
    return !(swappable && (wasOff || !isIron) && index < last)
  }

  /** Takes an option as the next stage, keeps the plan if it is done, and goes on if it can still be efficient. */
  private follow(from: Beginning, index: number, filmIsOff: boolean, left: number): void {
    const outcome = this.add(from.depth, index, filmIsOff, left)
    const pin = this.pinBits[index] as number
    if (((outcome & helpsBit) === 0 && pin === 0) || this.missingAfter === Infinity) return
    const missingShares = this.missingAfter
    const pins = from.pins | pin
    const costNext = this.spend(from.depth, index)
    this.stages[from.depth] = index
    if ((outcome & metBit) !== 0 && pins === this.allPins) return this.keep(from.depth, costNext)
    if (left === 0 || this.isHopeless(from.depth, missingShares)) return
    const filled = from.filled | (this.roleBits[index] as number)
    this.grow({ depth: from.depth + 1, limit: from.limit, pins, filled, last: index, missingShares })
  }

  /**
   * Adds what an option removes to the sums of the next depth. Leaves `missingAfter` behind: infinite where the stages
   * that are left could not make up for what is missing.
   * @returns whether it helps anything unmet, and whether all is met with it, as bits
   */
  private add(depth: number, index: number, filmIsOff: boolean, left: number): number {
    const { soils, removes, removesFirst, ironAlone, best, bestWorth } = this.table
    const before = this.sums[depth] as Float64Array
    const next = this.sums[depth + 1] as Float64Array
    const does = depth === 0 ? removesFirst : removes
    const weak = ironAlone[index] === 1 && !filmIsOff ? this.rules.ironOverFilm : 1
    let helps = false
    let met = true
    let missing = 0
    for (let soil = 0; soil < soils; soil += 1) {
      const more = (does[index * soils + soil] as number) * (soil === bondedIndex ? weak : 1)
      const now = before[soil] as number
      const wanted = this.required[soil] as number
      const then = now + more
      next[soil] = then
      if (now < wanted && more > 0) helps = true
      if (then >= wanted) continue
      met = false
      missing += (wanted - then) / (this.need.required[soil] as number)
      if (then + left * (best[soil] as number) < wanted) {
        this.missingAfter = Infinity
        return helpsBit
      }
    }
    this.missingAfter = missing > left * bestWorth + hair ? Infinity : missing
    return (helps ? helpsBit : 0) | (met ? metBit : 0)
  }

  private spend(depth: number, index: number): Float64Array {
    const before = this.costs[depth] as Float64Array
    const next = this.costs[depth + 1] as Float64Array
    for (let kind = 0; kind < costCount; kind += 1)
      next[kind] = (before[kind] as number) + (this.table.cost[index * costCount + kind] as number)
    return next
  }

  /** Whether some finished plan costs no more than this in everything. */
  private isBeaten(seconds: number, minor: number, wear: number, risk: number): boolean {
    for (const { cost } of this.front)
      if (cost[0] <= seconds && cost[1] <= minor && cost[2] <= wear && cost[3] <= risk) return true
    return false
  }

  private keep(depth: number, spent: Float64Array): void {
    const done: Cost = [
      spent[costKinds.seconds] as number,
      spent[costKinds.minor] as number,
      spent[costKinds.wear] as number,
      spent[costKinds.risk] as number,
    ]
    if (this.isBeaten(...done)) return
    this.front = [
      ...this.front.filter(({ cost }) => !noMoreThan(done, cost)),
      { stages: [...this.stages.subarray(0, depth + 1)], cost: done },
    ]
  }

  /** Whether a plan is known that costs no more than this beginning with the least it still has to spend. */
  private isHopeless(depth: number, missingShares: number): boolean {
    const next = this.sums[depth + 1] as Float64Array
    const spent = this.costs[depth + 1] as Float64Array
    const stagesLeft = this.stagesLeft(next, missingShares)
    for (let kind = 0; kind < costCount; kind += 1)
      this.least[kind] = this.leastOf(kind, next, stagesLeft, missingShares)
    // A hair less, so that rounding never drops what is just as good.
    const { least } = this
    return this.isBeaten(
      (spent[0] as number) + (least[0] as number) - hair,
      (spent[1] as number) + (least[1] as number) - hair,
      (spent[2] as number) + (least[2] as number) - hair,
      (spent[3] as number) + (least[3] as number) - hair,
    )
  }

  /** Stages that are needed at least, by what the best option does for each soil and for all of them together. */
  private stagesLeft(sums: Float64Array, missingShares: number): number {
    const { soils, best, bestWorth } = this.table
    let stages = Math.max(1, Math.ceil(missingShares / bestWorth - hair))
    for (let soil = 0; soil < soils; soil += 1) {
      const share = ((this.required[soil] as number) - (sums[soil] as number)) / (best[soil] as number)
      if (share > stages) stages = Math.ceil(share - hair)
    }
    return stages
  }

  /** The least that still has to be spent of one cost: for every soil what is missing at the best price there is. */
  private leastOf(kind: number, sums: Float64Array, stagesLeft: number, missingShares: number): number {
    const { soils, leastStage, leastPerWorth, leastPerUnit } = this.table
    let bound = Math.max(
      stagesLeft * (leastStage[kind] as number),
      missingShares * (leastPerWorth[kind] as number),
    )
    for (let soil = 0; soil < soils; soil += 1) {
      const wanting = (this.required[soil] as number) - (sums[soil] as number)
      if (wanting > 0) bound = Math.max(bound, wanting * (leastPerUnit[soil * costCount + kind] as number))
    }
    return bound
  }
}
