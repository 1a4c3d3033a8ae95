import type { Corner } from '@/core/job/job'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { isOff, type VisitSetup } from './zoneReach'
import { isInner } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'

/** A stroke has to get so far into the barrel, as a share of the rim's width; the rest is pushed on by the bristles. House estimate. */
const barrelShare = 0.6
/** From the edge of an arch to its top by arm and brush, mm. House estimate. */
export const archDepthMillimetres = 150

/**
 * How far a tool has to reach into a zone, mm. The inner one of two wheels lies a rim's width further in; a wheel that is off is open
 * at the back, where the hand goes in with the brush.
 */
export function depthOf(
  zone: Zone,
  { wheel, position }: Pick<Corner, 'wheel' | 'position'>,
  visit: VisitSetup,
): number {
  if (isOff(visit)) return 0
  const rimMillimetres = wheel.rimWidthInches * millimetresPerInch
  if (zone === 'barrel') return rimMillimetres * barrelShare + (isInner(position) ? rimMillimetres : 0)
  if (zone === 'spokeBacks') return wheel.spokeDepthMillimetres
  return 0
}
