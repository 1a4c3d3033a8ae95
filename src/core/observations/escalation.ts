import type { StageDraft } from '@/core/stages/stageDraft'
import type { Corner, Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import type { Soil } from '@/core/soils/soil'
import type { Zone } from '@/core/wheel/zone'
import { rubberEscalation } from './rubberEscalation'
import { wheelEscalation } from './wheelEscalation'

/** What is done next at a spot that has not come clean. */
export type Escalation = Omit<StageDraft, 'corners'>

/** A spot, and the stages that were on it without taking it off, in the order they were worked. */
export interface Spot {
  readonly corner: Corner
  readonly zone: Zone
  readonly soil: Soil
  readonly tried: readonly Stage[]
}

/** One step up the ladder for a spot: the mildest that does more than what was tried; null where nothing may or can. */
export function nextRung(job: Job, spot: Spot): Escalation | null {
  switch (spot.zone) {
    case 'tyre':
    case 'arch':
      return rubberEscalation(job, { ...spot, surface: spot.zone })
    case 'rotor':
      return null
    default:
      return wheelEscalation(job, spot)
  }
}

/** Left once more, as long as its label and the brush allow: longer before stronger, and nothing a third time. */
export const longerSeconds = (labelMaxSeconds: number, minSeconds: number): number =>
  Math.max(minSeconds, Math.round(labelMaxSeconds * 0.6))

/** The same product may be tried so often on one spot. */
export const maxTries = 2
