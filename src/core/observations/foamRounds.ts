import type { Foam } from '@/core/run/answer'
import { log, power } from '@/core/quantity/portableMath'

/** What a foam says of the browning that is left, on the doubling scale; cream is bare enough. */
export const foamAmounts: Record<Foam, number> = { white: 0.5, cream: 1, tan: 2, brown: 4 }

/** A fall by less than a tenth a round is none. House estimate. */
const leastFall = 0.9

/** More than this nobody scrubs. */
const maxRounds = 6

/**
 * How many rounds more until the foam is cream, from a geometric fall a round: the last amount times the mean ratio to the power
 * of the rounds. Valid from two rounds on.
 * @returns 0 where it is done; null where it does not fall, or only one round was seen
 */
export function roundsMore(seen: readonly Foam[]): number | null {
  const amounts = seen.map((foam) => foamAmounts[foam])
  const [first, last] = [amounts[0], amounts.at(-1)]
  if (first === undefined || last === undefined) return null
  if (last <= foamAmounts.cream) return 0
  if (amounts.length < 2) return null
  const ratio = power(last / first, 1 / (amounts.length - 1))
  if (ratio > leastFall) return null
  return Math.min(maxRounds, Math.ceil(log(foamAmounts.cream / last) / log(ratio) - 1e-9))
}

/** Whether the last rounds brought nothing: the foam is as brown as before. */
export function hasStalled(seen: readonly Foam[]): boolean {
  const [before, last] = [seen.at(-2), seen.at(-1)]
  return (
    before !== undefined &&
    last !== undefined &&
    foamAmounts[last] > foamAmounts.cream &&
    foamAmounts[last] >= foamAmounts[before]
  )
}
