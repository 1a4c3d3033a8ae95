import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anySituation, jobOf } from '@/core/job/testAnyJob'
import { planInOrder } from './orderPlan'
import { times } from '@/core/job/testLong'

const effort = 300

it(
  'no order takes longer than one wheel after the other, however many people work',
  () => {
    fc.assert(
      fc.property(anySituation, fc.constantFrom(1, 2), (situation, people) => {
        const { sequence } = planInOrder({ ...jobOf(situation), crew: { people } }, effort)
        if (sequence) expect(sequence.endSeconds).toBeLessThanOrEqual(sequence.plainSeconds)
      }),
      { numRuns: 30 * times },
    )
  },
  120_000 * times,
)
