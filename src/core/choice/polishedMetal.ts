import type { Corner } from '@/core/job/job'
import { finishZoneOf, type Zone } from '@/core/wheel/zone'

/** Whether a zone is bare, polished metal: acid hazes it, so polish takes the scale off it, and nothing else does. */
export function isPolishedMetal(zone: Zone, { finishes }: Pick<Corner, 'finishes'>): boolean {
  const of = finishZoneOf(zone)
  return of !== null && finishes[of]?.finish === 'polishedBare'
}
