import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { allOf, fourCorners, testJob } from '@/core/job/testJob'
import { triedStageIds } from '@/core/plan/stepId'
import { makePlan } from '@/core/planning/makePlan'
import { ruleBook } from '@/core/rules/book'
import { surfaceOf } from '@/core/rules/judge'
import type { Zone } from '@/core/wheel/zone'
import { planOnce } from '@/core/planning/testPlans'
import { times } from '@/core/job/testLong'

describe('a test spot', () => {
  it('of acid for a chrome lip is made on the lip, not on the paint behind the spokes', () => {
    const plated = { finish: 'chrome', condition: 'sound' } as const
    const corners = fourCorners({
      finishes: { ...allOf('paintedGloss'), lip: plated },
      loads: { face: { film: 1 }, lip: { mineral: 3 } },
    })
    const { steps } = makePlan(testJob(corners))
    expect(steps.filter(({ act }) => act === 'testSpot').map(({ zones }) => zones)).toEqual([['lip']])
  })

  it(
    'is on a finish that a rule asks to try, where the product goes on one',
    () => {
      fc.assert(
        fc.property(anyPoorJob, (job) => {
          const { steps, stages } = planOnce(job)
          for (const step of steps.filter(({ act }) => act === 'testSpot')) {
            const corner = job.corners.find(({ position }) => position === step.corner)
            const tried = stages.filter(({ id }) => triedStageIds(step.id).includes(id))
            const finishesAsked = tried
              .flatMap(({ rules }) => rules.filter(({ testSpot }) => testSpot).map(({ id }) => id))
              .flatMap((id) => ruleBook.find((rule) => rule.id === id)?.finishes ?? [])
            const finishAt = (zone: Zone) => corner && surfaceOf(zone, corner.finishes)?.finish
            const isAsked = (zone: Zone) => finishesAsked.some((finish) => finish === finishAt(zone))
            const worked = steps
              .filter((one) => one.corner === step.corner && tried.some(({ id }) => id === one.stageId))
              .flatMap(({ zones }) => zones)
            if (!worked.some(isAsked)) continue
            expect([step.title, step.zones, step.zones.some(isAsked)]).toEqual([step.title, step.zones, true])
          }
        }),
        { numRuns: 60 * times },
      )
    },
    60_000 * times,
  )
})
