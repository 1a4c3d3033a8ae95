import { familyOf } from '@/core/chemistry/families'
import { wetTimes } from '@/core/chemistry/longest'
import type { Product } from '@/core/chemistry/product'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import type { UseSite } from '@/core/rules/judge'
import { longestHere } from './longestHere'

/** A brush needs at least this on a quarter of a wheel, seconds. House estimate. */
const leastBrushSeconds = 5

/**
 * Whether a label leaves time to brush between the shortest dwell and the rinse. Suds from a bucket and products that are wiped
 * off need none.
 */
export function leavesHandsTime(
  product: Product,
  fraction: number,
  sites: readonly UseSite[],
  { estimates }: Pick<Job, 'estimates'>,
): boolean {
  const family = familyOf(product.family)
  if (family.purpose !== 'clean' || family.needsDry || product.delivery === 'bucket') return true
  const { min, max } = product.dwellSeconds
  const untilRinseSeconds =
    longestHere(product, fraction, sites).kind === 'contact'
      ? max - Math.ceil(estimate('secondsSpray', estimates) / 4)
      : wetTimes * max
  return untilRinseSeconds - min >= 2 * estimate('secondsToolChange', estimates) + leastBrushSeconds
}
