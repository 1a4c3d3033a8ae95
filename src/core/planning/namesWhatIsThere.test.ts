import { inEnglish } from '@/i18n/testEnglish'
import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { protectionWears } from '@/core/chemistry/family'
import { wearOf, type Product } from '@/core/chemistry/product'
import { describe, expect, it } from 'vitest'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { isHere } from '@/core/reachability/zoneReach'
import type { Zone } from '@/core/wheel/zone'
import { planOnce } from './testPlans'
import { times } from '@/core/job/testLong'

const named: readonly (readonly [RegExp, Zone])[] = [
  [/\barch\b(?! (brush|edge))/i, 'arch'],
  [/\bbarrel\b(?! brush)/i, 'barrel'],
  [/\bspoke backs\b/i, 'spokeBacks'],
  [/\bwindows\b/i, 'windows'],
  [/\bface\b(?! brush)/i, 'face'],
  [/\bcaliper\b/i, 'caliper'],
  [/\bvalve\b/i, 'valve'],
  [/\blug seats\b/i, 'lugSeats'],
]

it(
  'what is called milder wears protection no more than what is used',
  () => {
    fc.assert(
      fc.property(anyPoorJob, (job) => {
        const wearBy = (name: string | undefined): number =>
          protectionWears.indexOf(wearOf(job.cabinet.find((one) => one.name === name) as Product))
        for (const { why, productName } of inEnglish(planOnce(job)).stages) {
          const [, milder] = /(?:^|\. )([^.]+) is milder, but/.exec(why) ?? []
          if (milder) expect([why, wearBy(milder) <= wearBy(productName)]).toEqual([why, true])
        }
      }),
      { numRuns: 100 * times },
    )
  },
  60_000 * times,
)

describe('the words of a step', () => {
  it(
    'name no zone that is not worked there',
    () => {
      fc.assert(
        fc.property(anyPoorJob, (job) => {
          for (const step of inEnglish(planOnce(job)).steps) {
            const corner = job.corners.find(({ position }) => position === step.corner)
            if (!corner || step.act === 'hub' || step.act === 'testSpot') continue
            for (const [word, zone] of named) {
              const told = step.detail.replace(/Keep seats, valve.*free of it\.|always before the face/g, '')
              if (!word.test(told)) continue
              // What is dressed or dried is not told zone by zone; a look goes over all that is in reach.
              const there = ['lookAgain', 'dry', 'protect'].includes(step.act)
                ? isHere(zone, corner, job)
                : step.zones.includes(zone)
              expect([step.title, step.detail, zone, there]).toEqual([step.title, step.detail, zone, true])
            }
          }
        }),
        { numRuns: 150 * times },
      )
    },
    120_000 * times,
  )

  it(
    'speak of the dressing where the tyre is dressed',
    () => {
      fc.assert(
        fc.property(anyPoorJob, (job) => {
          const { steps } = planOnce(job)
          for (const { corner, why, act } of steps)
            if (act === 'scrub' && says(why, 'steps.scrubTyre.beforeDressing'))
              expect(steps.some((step) => step.act === 'dress' && step.corner === corner)).toBe(true)
        }),
        { numRuns: 60 * times },
      )
    },
    120_000 * times,
  )
})
