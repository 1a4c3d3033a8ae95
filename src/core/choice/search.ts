import { minorOf, secondsOf } from './cost'
import { keptOptions } from './keptOptions'
import type { Need } from './need'
import type { Option } from './option'
import { PlanSearch } from './planSearch'
import { firstGuesses } from './promising'
import { maxStages, type Found, type SearchRules } from './stages'

/**
 * All efficient ordered plans of up to four stages that meet the need: exhaustive, with pruning that loses none.
 * There is one stage of each role at most, beside what is pinned.
 * A stage that helps nothing unmet is never part of an efficient plan.
 */
export function searchPlans(options: readonly Option[], need: Need, rules: SearchRules): Found[] {
  const kept = keptOptions(options, need, rules)
  const pinned = kept.options.some(({ product }) => rules.pinned.includes(product.id))
  const search = new PlanSearch(kept.options, need, rules, firstGuesses(kept.options, need, rules, pinned))
  // Short plans first: they cost least and cut the long ones off early.
  for (let limit = 1; limit <= maxStages; limit += 1) {
    // Out of hundreds three stages nearly always do; a fourth is tried only where they do not.
    const isEnough = search.front.some(({ stages }) => stages.length < maxStages)
    if (kept.tooMany && limit === maxStages && isEnough) break
    search.upTo(limit)
  }
  return search.front
    .map(({ stages, cost }) => ({ stages: stages.map((index) => kept.at[index] as number), cost }))
    .sort(
      (a, b) =>
        secondsOf(a.cost) - secondsOf(b.cost) || minorOf(a.cost) - minorOf(b.cost) || a.cost[2] - b.cost[2],
    )
}
