import { estimate } from '@/core/estimates/houseEstimates'
import { type Cost, addCost, costKinds, harshOf, minorOf, noCost, noMoreThan, secondsOf } from './cost'
import { handSecondsAllowed, type Job, type PlanName } from '@/core/job/job'
import type { GroupChoice } from './chooseForGroup'
import { recipeOf } from './sharedRecipes'
import { strongest } from './candidates'
import type { Found } from './stages'

/** One plan for each group of wheels, and what they cost together. */
export interface WholeChoice {
  readonly perGroup: readonly Found[]
  readonly cost: Cost
  /** What is carried to the wheels, one bit a product at a strength. */
  readonly recipe?: bigint
}

/** Where nothing may be used, the group is left alone. */
const nothing: Found = { stages: [], cost: noCost }

const sumOf = (cost: Cost): number => cost.reduce((sum, value) => sum + value, 0)

/** Keeps the fronts of several groups from multiplying without end; the extremes and the balanced ones stay. */
const maxKept = 60

const carries = (one: WholeChoice, other: WholeChoice): boolean =>
  ((other.recipe ?? 0n) & ~(one.recipe ?? 0n)) === 0n

const countOf = (bits: bigint): number => {
  let count = 0
  for (let left = bits; left > 0n; left &= left - 1n) count += 1
  return count
}

/** The first of those that cost least of a kind; no other beats it. */
const leastOf = (all: readonly WholeChoice[], kind: number): WholeChoice | undefined =>
  all.reduce<WholeChoice | undefined>(
    (least, one) =>
      least === undefined || (one.cost[kind] as number) < (least.cost[kind] as number) ? one : least,
    undefined,
  )

/**
 * All efficient combinations over the groups.
 * @param another cost of every further product or strength that is carried to the wheels
 */
export function combine(
  choices: readonly GroupChoice[],
  score: (cost: Cost) => number,
  another: Cost = noCost,
): WholeChoice[] {
  const bits = new Map<string, bigint>()
  const bitsOf = (choice: GroupChoice, found: Found): bigint =>
    recipeOf(choice, found).reduce((all, text) => {
      const bit = bits.get(text) ?? 1n << BigInt(bits.size)
      bits.set(text, bit)
      return all | bit
    }, 0n)
  let whole: WholeChoice[] = [{ perGroup: [], cost: noCost, recipe: 0n }]
  for (const choice of choices) {
    const plans = (choice.plans.length > 0 ? choice.plans : [nothing]).map((found) => ({
      found,
      recipe: bitsOf(choice, found),
    }))
    const next = whole.flatMap((one) =>
      plans.map(({ found, recipe }): WholeChoice => {
        const known = one.recipe ?? 0n
        // The first group brings the recipe; whatever others need beside it costs.
        const extra = one.perGroup.length === 0 ? 0 : countOf(recipe & ~known)
        const cost = addCost(one.cost, found.cost)
        return {
          perGroup: [...one.perGroup, found],
          cost: extra === 0 ? cost : addCost(cost, another.map((value) => value * extra) as unknown as Cost),
          recipe: known | recipe,
        }
      }),
    )
    // With a value set to nought, plans of one score may still beat each other.
    next.sort((a, b) => score(a.cost) - score(b.cost) || sumOf(a.cost) - sumOf(b.cost))
    const front: WholeChoice[] = []
    for (const one of next) {
      if (front.length === maxKept) break
      // What another plan carries, the next group can have for nothing: only then it stands for this one.
      if (!front.some((kept) => noMoreThan(kept.cost, one.cost) && carries(kept, one))) front.push(one)
    }
    whole = [...new Set([...front, ...Object.values(costKinds).flatMap((kind) => leastOf(next, kind) ?? [])])]
  }
  return whole
}

/** What a plan is worth against another: minutes, product, protection and care in one figure, minor units. House estimate. */
export function balancedScore(job: Job): (cost: Cost) => number {
  const minute = estimate('minuteValueMinor', job.estimates)
  const renewal = estimate('renewalValueMinor', job.estimates)
  const risk = estimate('riskValueMinor', job.estimates)
  return ([seconds, minor, wear, points]) => (seconds / 60) * minute + minor + wear * renewal + points * risk
}

/** Plans this much harder on finish and protection than the gentlest are as gentle: nobody spends twenty minutes on less. */
const asGentle = 0.25

const isMeasured = ({ perGroup }: WholeChoice, choices: readonly GroupChoice[]): boolean =>
  perGroup.every(({ stages }, index) =>
    stages.every((at) => {
      const option = choices[index]?.options[at]
      return option === undefined || !strongest.includes(option.product.family)
    }),
  )

/** How much longer than the quickest the gentlest plan may take. */
const longestShare = 1.2

/**
 * Gentlest, balanced and fastest of the efficient plans, among those within the time and the money allowed.
 * @param fixedSeconds hand time the job takes whatever the wheels get: arches, tyres, drying, protection
 * @param fixedMinor product cost of the same, minor units
 */
export function namePlans(
  choices: readonly GroupChoice[],
  job: Job,
  fixedSeconds: number,
  fixedMinor: number,
): Readonly<Record<PlanName, WholeChoice>> {
  const score = balancedScore(job)
  const all = combine(choices, score, [
    estimate('anotherRecipeSeconds', job.estimates),
    0,
    0,
    estimate('anotherRecipePoints', job.estimates),
  ])
  const { minutesAllowed, costAllowedMinor } = job.wishes
  const within = all.filter(
    ({ cost }) =>
      secondsOf(cost) + fixedSeconds <= handSecondsAllowed(job) &&
      (costAllowedMinor === undefined || minorOf(cost) + fixedMinor <= costAllowedMinor),
  )
  // Nothing fits: the nearest to the limits is still an answer, and the plan says so.
  const pool = within.length > 0 ? within : [nearest(all, minutesAllowed, costAllowedMinor)]
  const least = (from: readonly WholeChoice[], ...measures: ((cost: Cost) => number)[]): WholeChoice =>
    [...from].sort((a, b) => {
      for (const measure of measures) {
        const difference = measure(a.cost) - measure(b.cost)
        if (Math.abs(difference) > 1e-9) return difference
      }
      return 0
    })[0] as WholeChoice
  const measured = pool.filter((one) => isMeasured(one, choices))
  const acceptable = measured.length > 0 ? measured : pool
  const quickest = Math.min(...acceptable.map(({ cost }) => secondsOf(cost))) + fixedSeconds
  // The gentlest that still is a day's work: nobody spends much more than a fifth longer for less of a risk.
  const unhurried = acceptable.filter(({ cost }) => secondsOf(cost) + fixedSeconds <= quickest * longestShare)
  const softest = Math.min(...unhurried.map(({ cost }) => harshOf(cost)))
  const gentle = unhurried.filter(({ cost }) => harshOf(cost) <= softest + asGentle)
  return {
    gentlest: least(gentle, score),
    balanced: least(acceptable, score),
    fastest: least(pool, ([seconds]) => seconds, score),
  }
}

function nearest(all: readonly WholeChoice[], minutes?: number, minor?: number): WholeChoice {
  const over = ({ cost }: WholeChoice) =>
    (minutes === undefined ? 0 : secondsOf(cost) / 60 / Math.max(1, minutes)) +
    (minor === undefined ? 0 : minorOf(cost) / Math.max(1, minor))
  return [...all].sort((a, b) => over(a) - over(b))[0] as WholeChoice
}
