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

it(
  'one wheel after the other is called as quick only where going to and fro saves no minute',
  () => {
    fc.assert(
      fc.property(anySituation, (one) => {
        const { sequence } = planInOrder(jobOf({ ...one, people: 1 }), 300)
        if (!sequence?.pattern) return
        const { seconds, shortestSeconds } = sequence.pattern
        if (sequence.text.includes('as quick')) expect(seconds - shortestSeconds).toBeLessThan(60)
        if (sequence.text.includes('would save')) expect(seconds - shortestSeconds).toBeGreaterThanOrEqual(60)
      }),
      { numRuns: 40 * times },
    )
  },
  120_000 * times,
)
