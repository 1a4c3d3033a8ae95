import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { chooseForGroup, searchWhatCan } from './chooseForGroup'
import { wheelSoils } from './need'
import { optionsFor } from './option'
import { searchPlans } from './search'
import { groupWheels } from './wheelGroup'
import { times } from '@/core/job/testLong'

it(
  'gives up no soil that some plan would take beside the others',
  () => {
    fc.assert(
      fc.property(anyPoorJob, (job) => {
        for (const group of groupWheels(job)) {
          const { options, need, rules } = chooseForGroup(group, job, optionsFor(group, job))
          const { plans, unreached, met } = searchWhatCan(options, need, rules)
          if (plans.length === 0) continue
          for (const soil of unreached) {
            const at = wheelSoils.indexOf(soil)
            const required = met.map((share, index) => (index === at ? (need.required[at] ?? 0) : share))
            expect([soil, searchPlans(options, { ...need, required }, rules).length]).toEqual([soil, 0])
          }
        }
      }),
      { numRuns: 100 * times },
    )
  },
  120_000 * times,
)
