import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { wearOf, type Product } from '@/core/chemistry/product'
import { familyOf } from '@/core/chemistry/families'
import { allOf, fourCorners, testJob } from '@/core/job/testJob'
import type { Grade } from '@/core/soils/soil'
import { makePlan } from './makePlan'

const bare = ['polishedBare', 'brushedBare', 'anodised', 'magnesium', 'unknown'] as const
const grade = fc.integer({ min: 1, max: 4 }).map((value) => value as Grade)

describe('bare metal', () => {
  it('gets soap or a weak mix and nothing that strips, even with heavy film', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...bare),
        grade,
        grade,
        fc.constantFrom('maintain', 'winter', 'decontaminate'),
        (finish, film, dust, service) => {
          const job = testJob(
            fourCorners({
              finishes: { ...allOf('paintedGloss'), lip: { finish, condition: 'sound' } },
              loads: { face: { film, freshDust: dust }, barrel: { film, freshDust: dust } },
            }),
            { service },
          )
          const byId = new Map(job.cabinet.map((product) => [product.id, product]))
          for (const stage of inEnglish(makePlan(job)).stages.filter(({ kind }) => kind === 'wash')) {
            const product = byId.get(stage.productId) as Product
            expect(wearOf(product)).not.toBe('strips')
            if (familyOf(product.family).traits.includes('mildAlkali'))
              expect(
                stage.recipe.concentrateMillilitres /
                  (stage.recipe.concentrateMillilitres + stage.recipe.waterMillilitres),
              ).toBeLessThanOrEqual(0.13)
          }
        },
      ),
      { numRuns: 40 },
    )
  })

  it('with heavy film is washed once; the final check decides about a second wash', () => {
    const plan = inEnglish(
      makePlan(
        testJob(
          fourCorners({
            finishes: { ...allOf('paintedGloss'), lip: { finish: 'polishedBare', condition: 'sound' } },
            loads: { face: { film: 3 }, barrel: { film: 3 } },
          }),
          { service: 'maintain' },
        ),
      ),
    )
    expect(plan.stages.filter(({ kind }) => kind === 'wash').map(({ rounds }) => rounds)).toEqual([1])
    expect(plan.secondRounds).toHaveLength(1)
    expect(plan.shortfalls.map(({ fix }) => fix).join(' ')).toContain('Check the wet wheel')
  })
})
