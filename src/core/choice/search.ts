import { bondedIndex, filmIndex, type Need } from './need'
import type { Cost, Option } from './option'
import { firstGuesses, mostOptions, promising } from './promising'
import { roleBit } from './role'
import { SearchTable } from './searchTable'
import { hair, mostStages, noMoreThan, type Found, type SearchRules } from './stages'
import { undominated } from './undominated'

/**
 * All efficient ordered plans of up to four stages that meet the need: exhaustive, with pruning that loses none.
 * There is one stage of each role at most, beside what is pinned.
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
  // What is pinned is asked for beside the one of its role.
  const roleBits = kept.map(({ option }, index) =>
    (pinBits[index] as number) === 0 ? roleBit(option.role) : 0,
  )
  const table = new SearchTable(
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

  const grow = (
    depth: number,
    limit: number,
    pins: number,
    filled: number,
    last: number,
    shares: number,
  ): void => {
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
      const role = roleBits[index] as number
      const pin = pinBits[index] as number
      if ((filled & role) !== 0 || (pins & pin) !== 0) continue
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
      if (!helps && pin === 0) continue
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
      grow(depth + 1, limit, pinsNow, filled | role, index, missingShares)
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
    grow(0, limit, 0, 0, -1, wantedSoils)
  }
  return front.sort((a, b) => a.cost[0] - b.cost[0] || a.cost[1] - b.cost[1] || a.cost[2] - b.cost[2])
}
