import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { plainSchedule } from '@/core/sequence/problem/plainSchedule'
import { planProblem } from './planProblem'
import { planOnce } from '@/core/planning/testPlans'
import { times } from '@/core/job/testLong'

it(
  'every plan can be worked one wheel after the other, each limit kept',
  () => {
    fc.assert(
      fc.property(anyPoorJob, (job) => {
        const one = { ...job, crew: { people: 1 } }
        const { problem } = planProblem(one, planOnce(one))
        if (problem.operations.length > 0) expect(plainSchedule(problem)).not.toBeNull()
      }),
      {
        numRuns: 150 * times,
      },
    )
  },
  90_000 * times,
)
