import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anySituation, jobOf } from '@/core/job/testAnyJob'
import { planInOrder } from './orderPlan'
import { times } from '@/core/job/testLong'

/** What only makes sense with three wheels or more. */
const forMoreThanTwo = [
  'order.twoBack',
  'order.twoAhead',
  'order.way.clockwise',
  'order.way.anticlockwise',
  'order.way.frontsFirst',
  'order.way.axles',
  'order.way.axlesAround',
] as const

it(
  'with two wheels nothing is two wheels away, and nobody goes round in a circle',
  () => {
    fc.assert(
      fc.property(
        anySituation,
        fc.constantFrom('motorcycle' as const, 'trailer' as const),
        fc.constantFrom(1, 2),
        (one, vehicleKind, people) => {
          const plan = planInOrder(jobOf({ ...one, vehicleKind, people }), 300)
          for (const said of plan.sequence?.pattern?.sentences ?? [])
            expect([said, forMoreThanTwo.filter((key) => says(said, key))]).toEqual([said, []])
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
