import { says } from '@/core/message/testSays'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { chooseForGroup } from '@/core/choice/chooseForGroup'
import { optionsFor } from '@/core/choice/option'
import { groupWheels } from '@/core/choice/wheelGroup'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { ladderOf, escalationsOf } from './ladder'
import { times } from '@/core/job/testLong'

it(
  'each escalation does more than the one before, none is named twice, and the last is to stop',
  () => {
    fc.assert(
      fc.property(anyPoorJob, (job) => {
        const choices = groupWheels(job).map((group) => chooseForGroup(group, job, optionsFor(group, job)))
        const used = choices.flatMap(({ plans, options }) =>
          (plans[0]?.stages ?? []).flatMap((at) => options[at]?.product.id ?? []),
        )
        const escalations = escalationsOf(choices, used)
        if (!escalations) return
        const all = [...(escalations.used ? [escalations.used] : []), ...escalations.next]
        for (const [at, option] of escalations.next.entries()) {
          const before = all[all.length - escalations.next.length + at - 1]
          if (before) expect(escalations.does(option)).toBeGreaterThan(escalations.does(before))
          expect(option.judgement.verdict).not.toBe('no')
        }
        expect(new Set(escalations.next.map(({ product }) => product.id)).size).toBe(escalations.next.length)
        expect(says(ladderOf(choices, used).at(-1)?.text, 'reasons.ladder.stop')).toBe(true)
      }),
      { numRuns: 80 * times },
    )
  },
  120_000 * times,
)
