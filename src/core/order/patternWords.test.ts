import { says } from '@/core/message/testSays'
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
          for (const said of plan.sequence?.pattern?.sentences ?? [])
            expect([said, says(said, 'order.twoBack') || says(said, 'order.twoAhead')]).toEqual([said, false])
        },
      ),
      { numRuns: 40 * times },
    )
  },
  120_000 * times,
)

it(
  'one wheel after the other is called as quick only where going to and fro saves no minute',
  () => {
    fc.assert(
      fc.property(anySituation, (one) => {
        const { sequence } = planInOrder(jobOf({ ...one, people: 1 }), 300)
        if (!sequence?.pattern) return
        const { seconds, shortestSeconds } = sequence.pattern
        if (says(sequence.text, 'order.fewer.asFast')) expect(seconds - shortestSeconds).toBeLessThan(60)
        if (says(sequence.text, 'order.fewer.wouldSave'))
          expect(seconds - shortestSeconds).toBeGreaterThanOrEqual(60)
      }),
      { numRuns: 40 * times },
    )
  },
  120_000 * times,
)
