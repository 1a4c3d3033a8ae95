import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anySituation, jobOf, plainSituation, type Situation } from '@/core/job/testAnyJob'
import { planInOrder } from './orderPlan'
import { times } from '@/core/job/testLong'

/** A wheel washed twice and in parts: the barrel brush is held alone, and the kit has another. */
const twiceInParts: Situation = {
  ...plainSituation,
  service: 'decontaminate',
  dust: 4,
  exposure: 'partSun',
  people: 2,
}

it(
  'of two people nobody holds a brush or a mitt that the other one holds',
  () => {
    fc.assert(
      fc.property(anySituation, (one) => {
        const job = { ...jobOf(one), crew: { people: 2 } }
        const plan = planInOrder(job, 2_000)
        const at = new Map(plan.sequence?.entries.map((entry) => [entry.stepId, entry]))
        const held = plan.steps.flatMap((step) => {
          const entry = at.get(step.id)
          return entry && (step.act === 'agitate' || step.act === 'scrub')
            ? [{ ...entry, tools: step.tools }]
            : []
        })
        for (const mine of held)
          for (const theirs of held)
            if (
              mine.person < theirs.person &&
              mine.startSeconds < theirs.endSeconds &&
              theirs.startSeconds < mine.endSeconds
            )
              expect(mine.tools.filter((tool) => theirs.tools.includes(tool))).toEqual([])
      }),
      { numRuns: 15 * times, examples: [[twiceInParts]] },
    )
  },
  120_000 * times,
)
