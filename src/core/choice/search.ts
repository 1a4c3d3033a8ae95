import { bondedIndex, filmIndex, type Need } from './need'
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

/** Options that another one beats in everything; leaving them out loses no efficient plan. */
export function undominated(options: readonly Option[], pinned: readonly string[]): number[] {
  const beats = (a: Option, b: Option): boolean =>
    (!a.ironAlone || b.ironAlone) &&
    noMoreThan(a.cost, b.cost) &&
    atLeast(a.removes, b.removes) &&
    atLeast(a.removesFirst, b.removesFirst)
  return options.flatMap((option, at) => {
    if (pinned.includes(option.product.id)) return [at]
    const beaten = options.some(
      (other, otherAt) => otherAt !== at && beats(other, option) && (otherAt < at || !beats(option, other)),
    )
    return beaten ? [] : [at]
  })
}

/**
 * All efficient ordered plans of up to four stages that meet the need: exhaustive, with pruning that loses none.
 * A stage that helps nothing unmet is never part of an efficient plan; costs only grow, so a beginning that costs more
 * than a finished plan is dropped; and what the stages left could do at best must still reach the need.
 */
export function searchPlans(options: readonly Option[], need: Need, rules: SearchRules): Found[] {
  const allowed = options
    .map((option, at) => ({ option, at }))
    .filter(({ option }) => option.judgement.verdict !== 'no')
  const kept = undominated(
    allowed.map(({ option }) => option),
    rules.pinned,
  ).map((index) => allowed[index] as (typeof allowed)[number])
  const pinned = rules.pinned.filter((id) => kept.some(({ option }) => option.product.id === id))
  kept.sort(
    (a, b) => a.option.cost[0] - b.option.cost[0] || a.option.cost[1] - b.option.cost[1] || a.at - b.at,
  )
  const { required } = need
  const best = required.map((_, soil) =>
    Math.max(0, ...kept.map(({ option }) => option.removesFirst[soil] ?? 0)),
  )
  let front: Found[] = []

  const isMet = (sums: readonly number[]) => sums.every((sum, soil) => sum >= (required[soil] ?? 0) - hair)
  const pinsLeft = (stages: readonly number[]) =>
    pinned.filter((id) => !stages.some((at) => options[at]?.product.id === id))

  const grow = (
    stages: readonly number[],
    sums: readonly number[],
    cost: Cost,
    left: number,
    lastKept: number,
  ) => {
    const filmBefore = sums[filmIndex] ?? 0
    const missing = pinsLeft(stages)
    for (const [index, { option, at }] of kept.entries()) {
      // Where the order makes no difference, one order is enough.
      const previous = kept[lastKept]?.option
      const orderMatters =
        stages.length < (rules.dryStart ? 2 : 1) ||
        option.ironAlone ||
        previous === undefined ||
        previous.ironAlone
      if (!orderMatters && index < lastKept) continue
      const effect = effectOf(option, stages.length === 0, filmBefore, need, rules)
      if (effect === null) continue
      const next = sums.map((sum, soil) => sum + (effect[soil] ?? 0))
      const helps = required.some(
        (wanted, soil) => (sums[soil] ?? 0) < wanted - hair && (effect[soil] ?? 0) > 0,
      )
      if (!helps && !missing.includes(option.product.id)) continue
      const nextCost = addCost(cost, option.cost)
      if (front.some((found) => noMoreThan(found.cost, nextCost))) continue
      const nextStages = [...stages, at]
      const stillMissing = missing.length - (missing.includes(option.product.id) ? 1 : 0)
      if (isMet(next) && stillMissing === 0) {
        front = [
          ...front.filter((found) => !noMoreThan(nextCost, found.cost)),
          { stages: nextStages, cost: nextCost },
        ]
        continue
      }
      if (left <= 1 || stillMissing > left - 1) continue
      const reachable = required.every(
        (wanted, soil) => (next[soil] ?? 0) + (left - 1) * (best[soil] ?? 0) >= wanted - hair,
      )
      if (reachable) grow(nextStages, next, nextCost, left - 1, index)
    }
  }
  // Short plans first: they cost least and cut the long ones off early.
  for (let depth = 1; depth <= mostStages; depth += 1) grow([], required.map(() => 0), noCost, depth, -1) // prettier-ignore
  return front.sort((a, b) => a.cost[0] - b.cost[0] || a.cost[1] - b.cost[1] || a.cost[2] - b.cost[2])
}
