import { roleBitsOf } from './role'
import { filmIndex, type Need } from './need'
import { type Cost, addCost, noCost, noMoreThan } from './cost'
import type { Option } from './option'
import { effectOf, hair, maxStages, type SearchRules } from './stages'

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
export const maxOptions = 90
/** So many of a larger cabinet are weighed: out of hundreds they are the best, and much alike. */
const maxPromising = 30

/**
 * The most promising of many options: for each pull those that do most of the need for their cost, and for each soil
 * those that take most of it. Pinned products stay. Deterministic.
 */
export function promising(options: readonly Option[], need: Need, pinned: readonly string[]): number[] {
  const all = options.map((_, index) => index)
  const kept = new Set(all.filter((index) => pinned.includes((options[index] as Option).product.id)))
  const bestFirst = (value: (option: Option) => number): number[] => {
    const values = options.map(value)
    return [...all].sort((a, b) => (values[b] as number) - (values[a] as number) || a - b)
  }
  need.required.forEach((wanted, soil) => {
    if (wanted <= hair) return
    for (const index of bestFirst(({ removes }) => removes[soil] ?? 0).slice(0, 3)) kept.add(index)
  })
  const worth = ({ removes }: Option) =>
    need.required.reduce(
      (sum, wanted, soil) => (wanted > hair ? sum + Math.min(1, (removes[soil] ?? 0) / wanted) : sum),
      0,
    )
  for (const pull of pulls) {
    const price = ({ cost }: Option) => cost.reduce((sum, one, kind) => sum + one * (pull[kind] ?? 0), 1e-3)
    for (const index of bestFirst((option) => (worth(option) * worth(option)) / price(option)).slice(0, 8)) {
      if (kept.size >= maxPromising) break
      kept.add(index)
    }
  }
  return [...kept].sort((a, b) => a - b)
}

/** Plans found without searching: at each stage the option that does most of what is missing for its cost. They cut the search short. */
export function firstGuesses(
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
    while (stages.length < maxStages) {
      let best = { index: -1, value: 0, effect: sums }
      options.forEach((option, index) => {
        const filled = stages.reduce((bits, at) => bits | roleBitsOf(options[at] as Option), 0)
        if ((filled & roleBitsOf(option)) !== 0) return
        const effect = effectOf(option, stages.length === 0, sums[filmIndex] ?? 0, need, rules)
        if (!effect) return
        const done = need.required.reduce((sum, wanted, soil) => {
          const missing = wanted - (sums[soil] ?? 0)
          return missing > hair ? sum + Math.min(1, (effect[soil] ?? 0) / missing) : sum
        }, 0)
        const price = option.cost.reduce((sum, one, kind) => sum + one * (pull[kind] ?? 0), 1e-3)
        // Squared, so that what finishes the job goes before what is merely cheap.
        const value = (done * done) / price
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
