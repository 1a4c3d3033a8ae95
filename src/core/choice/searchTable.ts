import { wheelSoils } from './need'
import type { Option } from './option'

/** Options laid out flat, so that the inner loop of the search touches numbers only. */
export class SearchTable {
  readonly size: number
  readonly soils: number
  readonly removes: Float64Array
  readonly removesFirst: Float64Array
  readonly cost: Float64Array
  readonly ironAlone: Uint8Array
  /** Most that one stage can do for a soil. */
  readonly best: Float64Array
  /** Least that a unit of removal costs, by soil and kind of cost; Infinity where nothing removes it. */
  readonly leastPerUnit: Float64Array
  /** Least that any stage costs, by kind of cost. */
  readonly leastStage: Float64Array
  /** What one stage can do at most, by option and soil. */
  readonly most: Float64Array
  /** Options by what they do for a soil, most first. */
  readonly byEffect: readonly Int32Array[]
  /**
   * Most that one stage can be worth, and the least a unit of worth costs. A stage's worth is the sum over soils of the
   * share of the need it does, each at most all of it: what is missing in shares can only come from worth.
   */
  bestWorth = 0
  readonly worth: Float64Array
  readonly leastPerWorth: Float64Array

  constructor(options: readonly Option[], dryStart: boolean, required: readonly number[]) {
    this.size = options.length
    this.soils = wheelSoils.length
    const { size, soils } = this
    this.removes = new Float64Array(size * soils)
    this.removesFirst = new Float64Array(size * soils)
    this.most = new Float64Array(size * soils)
    this.cost = new Float64Array(size * 4)
    this.ironAlone = new Uint8Array(size)
    this.best = new Float64Array(soils)
    this.leastPerUnit = new Float64Array(soils * 4).fill(Infinity)
    this.leastStage = new Float64Array(4).fill(Infinity)
    this.worth = new Float64Array(size)
    this.leastPerWorth = new Float64Array(4).fill(Infinity)
    options.forEach((option, index) => {
      this.ironAlone[index] = option.ironAlone ? 1 : 0
      for (let kind = 0; kind < 4; kind += 1) {
        const cost = option.cost[kind] as number
        this.cost[index * 4 + kind] = cost
        this.leastStage[kind] = Math.min(this.leastStage[kind] as number, cost)
      }
      let worth = 0
      for (let soil = 0; soil < soils; soil += 1) {
        const first = (dryStart ? option.removesFirst : option.removes)[soil] as number
        const later = option.removes[soil] as number
        this.removes[index * soils + soil] = later
        this.removesFirst[index * soils + soil] = first
        const most = Math.max(first, later)
        this.most[index * soils + soil] = most
        this.best[soil] = Math.max(this.best[soil] as number, most)
        if (most <= 0) continue
        const wanted = required[soil] as number
        if (wanted > 0) worth += Math.min(1, most / wanted)
        for (let kind = 0; kind < 4; kind += 1) {
          const at = soil * 4 + kind
          this.leastPerUnit[at] = Math.min(
            this.leastPerUnit[at] as number,
            (option.cost[kind] as number) / most,
          )
        }
      }
      this.worth[index] = worth
      this.bestWorth = Math.max(this.bestWorth, worth)
      for (let kind = 0; worth > 0 && kind < 4; kind += 1) {
        const perWorth = (option.cost[kind] as number) / worth
        this.leastPerWorth[kind] = Math.min(this.leastPerWorth[kind] as number, perWorth)
      }
    })
    const all = options.map((_, index) => index)
    this.byEffect = wheelSoils.map((_, soil) => {
      const does = (index: number) => this.most[index * soils + soil] as number
      return Int32Array.from([...all].sort((a, b) => does(b) - does(a) || a - b))
    })
  }

  /** The soil of which most is missing, as a share of the best stage for it. */
  neediest(sums: Float64Array, required: Float64Array): number {
    let neediest = 0
    let share = -Infinity
    for (let soil = 0; soil < this.soils; soil += 1) {
      const missing = ((required[soil] as number) - (sums[soil] as number)) / (this.best[soil] as number)
      if (missing > share) {
        share = missing
        neediest = soil
      }
    }
    return neediest
  }
}
