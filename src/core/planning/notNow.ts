import { message, type Said } from '@/core/message/message'
import type { Corner, Job } from '@/core/job/job'
import type { Plan, Shortfall } from '@/core/plan/plan'
import type { Position } from '@/core/wheel/position'
import { sayWheels } from '@/core/reasons/sayCorners'

const positionsOf = (corners: readonly Corner[]): Position[] => corners.map(({ position }) => position)

/** Wheels on which a protection cures stay dry, whatever the visit is for. */
export function sayCuring(job: Job): Shortfall[] {
  const corners = positionsOf(job.corners.filter(({ curing }) => curing))
  return corners.length === 0
    ? []
    : [
        {
          corners,
          text: message('reasons.now.cures', { wheels: sayWheels(corners, positionsOf(job.corners)) }),
          fix: message('reasons.now.curesFix'),
        },
      ]
}

/** A plan with nothing to do: it says why, and when and where it goes. */
export const withoutWork = (plan: Plan, headline: Said, shortfalls: readonly Shortfall[]): Plan => ({
  ...plan,
  headline,
  operatorSeconds: 0,
  costMinor: 0,
  waterLitres: 0,
  alternatives: [],
  stages: [],
  steps: [],
  fills: [],
  amounts: [],
  protections: [],
  soil: [],
  ladder: [],
  wouldChange: [],
  testSpot: null,
  timings: [],
  sequence: null,
  shortfalls,
})
