import { exp } from '@/core/quantity/portableMath'
import { tenth } from './forecast'
import type { Followed } from './followed'
import { spreadOfUse, type LayerOutlook } from './outlook'
import { usedBy, wearingOf } from './used'

/** What is left of a layer at an instant: the middle, and what it lies between in eight of ten cases; shares of its life. */
export interface CoursePoint {
  readonly at: Date
  readonly left: number
  readonly low: number
  readonly high: number
}

const clip = (share: number): number => Math.min(1, Math.max(0, share))

/**
 * The course of a layer from the day it was put on, past and to come, evenly spaced.
 * @param until where it ends
 * @param points at least two
 */
export function layerCourse(
  one: Followed,
  outlook: LayerOutlook,
  widen: number,
  until: Date,
  points = 48,
): CoursePoint[] {
  const { exposure } = one
  const span = until.getTime() - exposure.appliedAt
  return Array.from({ length: points }, (_, index): CoursePoint => {
    const at = exposure.appliedAt + (span * index) / (points - 1)
    const wear = exposure.wearAt(at)
    const used = usedBy(wear, wearingOf(outlook.values))
    // The spread of its logarithm: a layer that has hardly begun is not known to be half used.
    const relative = used > 0 ? (tenth * widen * spreadOfUse(wear, outlook)) / used : 0
    return {
      at: new Date(at),
      left: clip(1 - used),
      low: clip(1 - used * exp(relative)),
      high: clip(1 - used * exp(-relative)),
    }
  })
}
