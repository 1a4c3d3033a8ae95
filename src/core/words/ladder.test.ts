import fc from 'fast-check'
import { expect, it } from 'vitest'
import { chooseForGroup } from '@/core/choice/chooseForGroup'
import { optionsFor } from '@/core/choice/option'
import { groupWheels } from '@/core/choice/wheelGroup'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { ladderOf, rungsOf } from './ladder'

const times = Number(process.env.PROPERTY_TIMES ?? 1)

it(
  'each rung does more than the one before, none is named twice, and the last is to stop',
  () => {
    fc.assert(
      fc.property(anyPoorJob, (job) => {
        const choices = groupWheels(job).map((group) => chooseForGroup(group, job, optionsFor(group, job)))
        const used = choices.flatMap(({ plans, options }) =>
          (plans[0]?.stages ?? []).flatMap((at) => options[at]?.product.id ?? []),
        )
        const rungs = rungsOf(choices, used)
        if (!rungs) return
        const all = [...(rungs.used ? [rungs.used] : []), ...rungs.next]
        for (const [at, option] of rungs.next.entries()) {
          const before = all[all.length - rungs.next.length + at - 1]
          if (before) expect(rungs.does(option)).toBeGreaterThan(rungs.does(before))
          expect(option.judgement.verdict).not.toBe('no')
        }
        expect(new Set(rungs.next.map(({ product }) => product.id)).size).toBe(rungs.next.length)
        expect(ladderOf(choices, used).at(-1)?.text).toBe('Stop there.')
      }),
      { numRuns: 80 * times },
    )
  },
  120_000 * times,
)
