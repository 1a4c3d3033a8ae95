import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plainConditions } from '@/core/conditions/conditions'
import { fourCorners, testJob } from '@/core/job/testJob'
import { makePlan } from './makePlan'

const loads = { face: { film: 1, freshDust: 2 }, tyre: { film: 1 } } as const
const finishes = Object.fromEntries(
  (['lip', 'face', 'windows', 'barrel', 'cap', 'caliper'] as const).map((zone) => [
    zone,
    { finish: 'glossBlack' as const, condition: 'sound' as const },
  ]),
)
const planAt = (conditions: Parameters<typeof plainConditions>[0]) =>
  inEnglish(makePlan(testJob(fourCorners({ loads, finishes }), { conditions: plainConditions(conditions) })))

describe('hot wheels', () => {
  it('that nobody measured are never taken as cool: no steps, and where it goes', () => {
    const plan = planAt({ airCelsius: 38, exposure: 'fullSun' })
    expect([plan.steps, plan.stages]).toEqual([[], []])
    expect(plan.headline).toMatch(/^Not now\. .*[Ss]hade/)
    expect(plan.shortfalls).toHaveLength(1)
    expect(plan.assumptions.join(' ')).toMatch(/Wheels estimated at \d\d °C/)
  })

  it('that may be too hot ask for a thermometer at every spray', () => {
    const plan = planAt({ airCelsius: 38, exposure: 'shade' })
    expect(plan.steps.length).toBeGreaterThan(0)
    for (const step of plan.steps.filter(({ startsDwell, act }) => startsDwell && act === 'spray'))
      expect(step.cautions.join(' ')).toContain('Measure before you start')
  })

  it('that were measured cool are worked, whatever the sun', () => {
    expect(planAt({ airCelsius: 38, exposure: 'fullSun', surfaceCelsius: 24 }).stages.length).toBeGreaterThan(
      2,
    )
  })

  it('a reading above the limit forbids, and is no estimate', () => {
    const plan = planAt({ airCelsius: 22, surfaceCelsius: 41 })
    expect(plan.steps).toEqual([])
    expect(plan.assumptions.join(' ')).not.toContain('estimated at')
  })

  it('a hotter wheel never has more steps to work than a refused one allows', () => {
    fc.assert(
      fc.property(fc.integer({ min: 36, max: 90 }), (surfaceCelsius) => {
        expect(planAt({ surfaceCelsius }).steps).toEqual([])
      }),
      { numRuns: 8 },
    )
  })
})
