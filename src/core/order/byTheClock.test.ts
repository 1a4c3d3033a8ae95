import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anySituation, jobOf } from '@/core/job/testAnyJob'
import { sayTime } from '@/core/words/sayPlan'
import { planInOrder } from './orderPlan'

const times = Number(process.env.PROPERTY_TIMES ?? 1)
const effort = 300

it(
  'minutes allowed are too few exactly where the clock says so',
  () => {
    fc.assert(
      fc.property(anySituation, fc.integer({ min: 5, max: 150 }), (situation, minutesAllowed) => {
        const job = jobOf(situation)
        const plan = planInOrder({ ...job, wishes: { ...job.wishes, minutesAllowed } }, effort)
        if (!plan.sequence) return
        const minutes = Math.round(plan.sequence.endSeconds / 60)
        const said = plan.shortfalls.filter(({ text }) => text.includes('minutes are too few'))
        expect(said.map(({ text }) => text)).toEqual(
          minutes > minutesAllowed
            ? [`${minutesAllowed} minutes are too few: everything takes ${minutes}.`]
            : [],
        )
        if (said.length > 0) expect(plan.headline).toContain(sayTime(plan.sequence.endSeconds))
        for (const { mend } of said) expect(mend).not.toBe('')
      }),
      { numRuns: 30 * times },
    )
  },
  120_000 * times,
)
