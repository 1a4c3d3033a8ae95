import fc from 'fast-check'
import { expect, it } from 'vitest'
import { anyPoorJob } from '@/core/job/testAnyJob'
import { says } from '@/core/message/testSays'
import { planPasses } from './planPasses'
import { planOnce } from '@/core/planning/testPlans'
import { times } from '@/core/job/testLong'

it(
  'a move names the barrel where the barrel is brushed, and a second application is called one',
  () =>
    fc.assert(
      fc.property(anyPoorJob, (job) => {
        const plan = planOnce(job)
        const steps = new Map(plan.steps.map((step) => [step.id, step]))
        for (const { kind, title, moves } of planPasses(plan).passes) {
          const worked = moves.map(({ words, stepIds }) => ({
            words,
            steps: stepIds.flatMap((id) => steps.get(id) ?? []),
          }))
          for (const move of worked.filter(({ steps: own }) => own.some(({ act }) => act === 'agitate')))
            expect(
              ['steps.moves.brushBarrel', 'steps.moves.brushBarrelThenFace'].some((key) =>
                says(move.words, key),
              ),
            ).toBe(move.steps.some(({ zones }) => zones.includes('barrel')))
          const sprays = worked.flatMap(({ steps: own }) => own.filter(({ act }) => act === 'spray'))
          const onlyAgain = sprays.length > 0 && sprays.every(({ id }) => /\.spray[2-9]/.test(id))
          const onRubber = sprays.every(({ zones }) =>
            zones.every((zone) => zone === 'tyre' || zone === 'arch'),
          )
          if (kind === 'wash' && onlyAgain && !onRubber)
            expect(says(title, 'steps.passes.secondApplication')).toBe(true)
        }
      }),
      { numRuns: 80 * times },
    ),
  120_000 * times,
)
