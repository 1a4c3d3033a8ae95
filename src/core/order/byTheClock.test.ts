import { sayInEnglish } from '@/i18n/testEnglish'
import { sayTooFew } from '@/core/planning/tooFewMinutes'
import { message } from '@/core/message/message'
import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anySituation, jobOf } from '@/core/job/testAnyJob'
import { planInOrder } from './orderPlan'
import { times } from '@/core/job/testLong'

const effort = 300

it(
  'minutes allowed are too few exactly where the clock says so',
  () => {
    fc.assert(
      fc.property(anySituation, fc.integer({ min: 5, max: 150 }), (situation, minutesAllowed) => {
        const job = jobOf(situation)
        const plan = planInOrder({ ...job, wishes: { ...job.wishes, minutesAllowed } }, effort)
        if (!plan.sequence) return
        const { endSeconds } = plan.sequence
        const said = plan.shortfalls.filter(({ text }) => says(text, 'reasons.limits.tooFew'))
        expect(said.map(({ text }) => text)).toEqual(
          Math.round(endSeconds / 60) > minutesAllowed ? [sayTooFew(minutesAllowed, endSeconds)] : [],
        )
        if (said.length > 0)
          expect(sayInEnglish(plan.headline)).toContain(
            sayInEnglish(message('common.asItIs', { text: { seconds: endSeconds } })),
          )
        for (const { fix } of said) expect(fix).not.toBe('')
      }),
      { numRuns: 30 * times },
    )
  },
  120_000 * times,
)
