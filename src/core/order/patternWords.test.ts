import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anySituation, jobOf } from '@/core/job/testAnyJob'
import { planInOrder } from './orderPlan'

const times = Number(process.env.PROPERTY_TIMES ?? 1)

it(
  'with two wheels nothing is two wheels ahead or back',
  () => {
    fc.assert(
      fc.property(
        anySituation,
        fc.constantFrom('motorcycle' as const, 'trailer' as const),
        (one, vehicleKind) => {
          const plan = planInOrder(jobOf({ ...one, vehicleKind, people: 1 }), 300)
          expect(plan.sequence?.pattern?.sentences.join(' ') ?? '').not.toMatch(/two (back|ahead)/)
        },
      ),
      { numRuns: 40 * times },
    )
  },
  120_000 * times,
)
