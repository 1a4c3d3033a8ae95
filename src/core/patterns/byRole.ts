import type { Chains } from './chains'
import type { Pattern } from './pattern'
import { patternOrders } from './patternOrder'

/**
 * Two people on one walk, each with their own part of the work: the first does what `isFirsts` says, the other the rest, both in
 * the order of the pattern. Who is where follows from what waits for what.
 */
export const byRole =
  (isFirsts: (operation: number) => boolean) =>
  (chains: Chains, pattern: Pattern): number[][] => {
    const [all = []] = patternOrders(chains, pattern)
    return [all.filter(isFirsts), all.filter((id) => !isFirsts(id))]
  }
