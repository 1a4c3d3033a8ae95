import { bondedIndex, filmIndex, wheelSoils, type Need } from './need'
import type { Cost, Option } from './option'

export const mostStages = 4

export interface SearchRules {
  /** Iron removers wait until the film is off (a shop school). */
  readonly ironWaitsForWash: boolean
  /** Share of its bonded rating an iron remover has over film. */
  readonly ironOverFilm: number
  /** The first stage goes onto a dry wheel. */
  readonly dryStart: boolean
  /** Products that must be among the stages, by id. */
  readonly pinned: readonly string[]
}

/** An ordered plan: indexes into the options, and what it costs. */
export interface Found {
  readonly stages: readonly number[]
  readonly cost: Cost
}

const noMoreThan = (a: Cost, b: Cost): boolean => a[0] <= b[0] && a[1] <= b[1] && a[2] <= b[2] && a[3] <= b[3]
const atLeast = (a: readonly number[], b: readonly number[]): boolean =>
  a.every((value, at) => value >= (b[at] ?? 0))

/** Sums are floating point: a hair under the need is enough. */
const hair = 1e-9

export const addCost = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2], a[3] + b[3]]
export const noCost: Cost = [0, 0, 0, 0]

/**
 * What a stage adds to the sums, or null where it may not come now. An iron remover over film works at a fraction, or
 * waits for the wash.
 */
export function effectOf(
  option: Option,
  first: boolean,
  filmSoFar: number,
  need: Need,
  rules: SearchRules,
): readonly number[] | null {
  const removes = first && rules.dryStart ? option.removesFirst : option.removes
  if (!option.ironAlone || filmSoFar >= need.filmClear - hair) return removes
  if (rules.ironWaitsForWash) return null
  return removes.map((value, at) => (at === bondedIndex ? value * rules.ironOverFilm : value))
}

/**
 * Options that another one beats in everything; leaving them out loses no efficient plan. More than the whole need counts
 * as the whole need: an option that does it alone cannot be bettered. An iron remover may be weakened over film, so there
 * more is more.
 */
export function undominated(options: readonly Option[], need: Need, pinned: readonly string[]): number[] {
  const capped = ({ removes, ironAlone }: Option) =>
    removes.map((value, soil) =>
      ironAlone && soil === bondedIndex ? value : Math.min(value, need.required[soil] ?? 0),
    )
  const later = options.map(capped)
  const first = options.map((option) => capped({ ...option, removes: option.removesFirst }))
  const beats = (a: number, b: number): boolean => {
    const [one, other] = [options[a] as Option, options[b] as Option]
    return (
      (!one.ironAlone || other.ironAlone) &&
      noMoreThan(one.cost, other.cost) &&
      atLeast(later[a] as number[], later[b] as number[]) &&
      atLeast(first[a] as number[], first[b] as number[])
    )
  }
  return options.flatMap((option, at) => {
    if (pinned.includes(option.product.id)) return [at]
    const beaten = options.some(
      (_, other) => other !== at && beats(other, at) && (other < at || !beats(at, other)),
    )
    return beaten ? [] : [at]
  })
}

/** Weights on seconds, minor units, wear and risk that pull a quick guess in different directions. */
const pulls: readonly Cost[] = [
  [1, 1, 200, 60],
  [1, 0.1, 10, 5],
  [0.1, 1, 10, 5],
  [0.1, 0.1, 2000, 10],
  [0.1, 0.1, 10, 2000],
  [1, 1, 1000, 600],
]

/** An exhaustive search over more undominated options than this would keep a person waiting. */
export const mostOptions = 90
/** So many of a larger cabinet are weighed: out of hundreds they are the best, and much alike. */
const mostPromising = 30

/**
 * The most promising of many options: for each pull those that do most of the need for their cost, and for each soil
 * those that take most of it. Pinned products stay. Deterministic.
 */
export function promising(options: readonly Option[], need: Need, pinned: readonly string[]): number[] {
  const all = options.map((_, index) => index)
  const kept = new Set(all.filter((index) => pinned.includes((options[index] as Option).product.id)))
  const take = (count: number, value: (option: Option) => number) =>
    [...all]
      .sort((a, b) => value(options[b] as Option) - value(options[a] as Option) || a - b)
      .slice(0, count)
      .forEach((index) => kept.add(index))
  need.required.forEach((wanted, soil) => {
    if (wanted > hair) take(3, ({ removes }) => removes[soil] ?? 0)
  })
  const worth = ({ removes }: Option) =>
    need.required.reduce(
      (sum, wanted, soil) => (wanted > hair ? sum + Math.min(1, (removes[soil] ?? 0) / wanted) : sum),
      0,
    )
  for (const pull of pulls) {
    const price = ({ cost }: Option) => cost.reduce((sum, one, kind) => sum + one * (pull[kind] ?? 0), 1e-3)
    for (let count = 1; count <= 8 && kept.size < mostPromising; count += 1)
      take(count, (option) => worth(option) ** 2 / price(option))
  }
  return [...kept].sort((a, b) => a - b)
}

/** Plans found without searching: at each stage the option that does most of what is missing for its cost. They cut the search short. */
function firstGuesses(
  options: readonly Option[],
  need: Need,
  rules: SearchRules,
  hasPins: boolean,
): { readonly stages: readonly number[]; readonly cost: Cost }[] {
  if (hasPins) return []
  const found: { readonly stages: readonly number[]; readonly cost: Cost }[] = []
  for (const pull of pulls) {
    const stages: number[] = []
    let sums: readonly number[] = need.required.map(() => 0)
    let cost = noCost
    while (stages.length < mostStages) {
      let best = { index: -1, value: 0, effect: sums }
      options.forEach((option, index) => {
        const effect = effectOf(option, stages.length === 0, sums[filmIndex] ?? 0, need, rules)
        if (!effect) return
        const done = need.required.reduce((sum, wanted, soil) => {
          const missing = wanted - (sums[soil] ?? 0)
          return missing > hair ? sum + Math.min(1, (effect[soil] ?? 0) / missing) : sum
        }, 0)
        const price = option.cost.reduce((sum, one, kind) => sum + one * (pull[kind] ?? 0), 1e-3)
        // Squared, so that what finishes the job goes before what is merely cheap.
        const value = done ** 2 / price
        if (value > best.value) best = { index, value, effect }
      })
      if (best.index < 0) break
      stages.push(best.index)
      cost = addCost(cost, (options[best.index] as Option).cost)
      sums = sums.map((sum, soil) => sum + (best.effect[soil] ?? 0))
      if (sums.every((sum, soil) => sum >= (need.required[soil] ?? 0) - hair)) {
        const done = { stages, cost }
        if (!found.some((other) => noMoreThan(other.cost, cost))) found.push(done)
        break
      }
    }
  }
  return found.filter((one) => !found.some((other) => other !== one && noMoreThan(other.cost, one.cost)))
}

/** Options laid out flat, so that the inner loop of the search touches numbers only. */
class Table {
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

/**
 * All efficient ordered plans of up to four stages that meet the need: exhaustive, with pruning that loses none.
 * A stage that helps nothing unmet is never part of an efficient plan. Costs only grow: a beginning is dropped when a
 * finished plan costs no more than it would with the least it still has to spend, which is at least one stage, and for
 * every soil what is missing at the best price any option has for it. And what the stages left could do at best must
 * still reach the need.
 */
export function searchPlans(options: readonly Option[], need: Need, rules: SearchRules): Found[] {
  const allowed = options
    .map((option, at) => ({ option, at }))
    .filter(({ option }) => option.judgement.verdict !== 'no')
  const kept = undominated(
    allowed.map(({ option }) => option),
    need,
    rules.pinned,
  ).map((index) => allowed[index] as (typeof allowed)[number])
  const tooMany = kept.length > mostOptions
  if (tooMany) {
    const chosen = promising(
      kept.map(({ option }) => option),
      need,
      rules.pinned,
    ).map((index) => kept[index] as (typeof kept)[number])
    kept.splice(0, kept.length, ...chosen)
  }
  kept.sort(
    (a, b) => a.option.cost[0] - b.option.cost[0] || a.option.cost[1] - b.option.cost[1] || a.at - b.at,
  )
  const pinned = rules.pinned.filter((id) => kept.some(({ option }) => option.product.id === id))
  // One bit a pinned product; most options have none.
  const pinBits = kept.map(({ option }) =>
    pinned.includes(option.product.id) ? 1 << pinned.indexOf(option.product.id) : 0,
  )
  const allPins = (1 << pinned.length) - 1
  const table = new Table(
    kept.map(({ option }) => option),
    rules.dryStart,
    need.required,
  )
  const {
    size,
    soils,
    removes,
    removesFirst,
    cost,
    ironAlone,
    best,
    leastPerUnit,
    leastStage,
    bestWorth,
    leastPerWorth,
    most,
    byEffect,
    worth,
  } = table
  const required = Float64Array.from(need.required, (wanted) => wanted - hair)
  const sums = Array.from({ length: mostStages + 1 }, () => new Float64Array(soils))
  const costs = Array.from({ length: mostStages + 1 }, () => new Float64Array(4))
  const stages = new Int32Array(mostStages)
  const least = new Float64Array(4)
  let front: { readonly stages: number[]; readonly cost: Cost }[] = []

  /** Whether a finished plan costs no more than this in everything. */
  const isBeaten = (a: number, b: number, c: number, d: number): boolean => {
    for (const found of front) {
      const { cost: one } = found
      if (one[0] <= a && one[1] <= b && one[2] <= c && one[3] <= d) return true
    }
    return false
  }

  const grow = (depth: number, limit: number, pins: number, last: number, shares: number): void => {
    const before = sums[depth] as Float64Array
    const next = sums[depth + 1] as Float64Array
    const costBefore = costs[depth] as Float64Array
    const costNext = costs[depth + 1] as Float64Array
    const left = limit - depth - 1
    const from = depth === 0 ? removesFirst : removes
    const filmIsOff = (before[filmIndex] as number) >= need.filmClear - hair
    // Once the film is off, iron removers are like all others.
    const wasOff =
      depth > 0 && ((sums[depth - 1] as Float64Array)[filmIndex] as number) >= need.filmClear - hair
    const swappable = depth >= (rules.dryStart ? 2 : 1) && last >= 0 && (wasOff || ironAlone[last] !== 1)
    // What the later stages cannot make up for, this one has to do: options that do less come into question no more.
    const guided = pins === allPins
    const neediest = guided ? table.neediest(before, required) : 0
    const missing = (required[neediest] as number) - (before[neediest] as number)
    const atLeastNow = missing - left * (best[neediest] as number) - hair
    const worthAtLeast = guided ? shares - left * bestWorth - hair : -1
    const order = byEffect[neediest] as Int32Array
    for (let step = 0; step < size; step += 1) {
      const index = guided ? (order[step] as number) : step
      if (guided && (most[index * soils + neediest] as number) < atLeastNow) break
      if ((worth[index] as number) < worthAtLeast) continue
      const iron = ironAlone[index] === 1
      // Where the order makes no difference, one order is enough.
      if (swappable && (wasOff || !iron) && index < last) continue
      if (iron && !filmIsOff && rules.ironWaitsForWash) continue
      const weak = iron && !filmIsOff ? rules.ironOverFilm : 1
      let helps = false
      let met = true
      let reachable = true
      let missingShares = 0
      for (let soil = 0; soil < soils; soil += 1) {
        const does = (from[index * soils + soil] as number) * (soil === bondedIndex ? weak : 1)
        const now = before[soil] as number
        const wanted = required[soil] as number
        const then = now + does
        next[soil] = then
        if (now < wanted && does > 0) helps = true
        if (then < wanted) {
          met = false
          missingShares += (wanted - then) / (need.required[soil] as number)
          if (then + left * (best[soil] as number) < wanted) {
            reachable = false
            break
          }
        }
      }
      if (!reachable || missingShares > left * bestWorth + hair) continue
      const pin = pinBits[index] as number
      if (!helps && (pin === 0 || (pins & pin) !== 0)) continue
      const pinsNow = pins | pin
      for (let kind = 0; kind < 4; kind += 1)
        costNext[kind] = (costBefore[kind] as number) + (cost[index * 4 + kind] as number)
      const seconds = costNext[0] as number
      const minor = costNext[1] as number
      const wear = costNext[2] as number
      const risk = costNext[3] as number
      stages[depth] = index
      if (met && pinsNow === allPins) {
        if (isBeaten(seconds, minor, wear, risk)) continue
        const done: Cost = [seconds, minor, wear, risk]
        front = front.filter((found) => !noMoreThan(done, found.cost))
        front.push({
          stages: Array.from(stages.subarray(0, depth + 1), (one) => (kept[one] as { at: number }).at),
          cost: done,
        })
        continue
      }
      if (left === 0) continue
      let stagesLeft = Math.max(1, Math.ceil(missingShares / bestWorth - hair))
      for (let soil = 0; soil < soils; soil += 1) {
        const share = ((required[soil] as number) - (next[soil] as number)) / (best[soil] as number)
        if (share > stagesLeft) stagesLeft = Math.ceil(share - hair)
      }
      for (let kind = 0; kind < 4; kind += 1) {
        let bound = Math.max(
          stagesLeft * (leastStage[kind] as number),
          missingShares * (leastPerWorth[kind] as number),
        )
        for (let soil = 0; soil < soils; soil += 1) {
          const wanting = (required[soil] as number) - (next[soil] as number)
          if (wanting > 0) bound = Math.max(bound, wanting * (leastPerUnit[soil * 4 + kind] as number))
        }
        least[kind] = bound
      }
      // A hair less, so that rounding never drops what is just as good.
      if (
        isBeaten(
          seconds + (least[0] as number) - hair,
          minor + (least[1] as number) - hair,
          wear + (least[2] as number) - hair,
          risk + (least[3] as number) - hair,
        )
      )
        continue
      grow(depth + 1, limit, pinsNow, index, missingShares)
    }
  }
  front = firstGuesses(
    kept.map(({ option }) => option),
    need,
    rules,
    pinned.length > 0,
  ).map((found) => ({
    stages: found.stages.map((index) => (kept[index] as { at: number }).at),
    cost: found.cost,
  }))
  const wantedSoils = need.required.filter((wanted) => wanted > hair).length
  // Short plans first: they cost least and cut the long ones off early.
  for (let limit = 1; limit <= mostStages; limit += 1) {
    // Out of hundreds three stages nearly always do; a fourth is tried only where they do not.
    if (tooMany && limit === mostStages && front.some(({ stages: found }) => found.length < mostStages)) break
    grow(0, limit, 0, -1, wantedSoils)
  }
  return front.sort((a, b) => a.cost[0] - b.cost[0] || a.cost[1] - b.cost[1] || a.cost[2] - b.cost[2])
}
