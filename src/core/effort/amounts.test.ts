import { describe, expect, it } from 'vitest'
import { fourCorners, testJob, testWheel } from '@/core/job/testJob'
import { makePlan } from '@/core/planning/makePlan'
import { millilitresAtCorner, zonesAreaM2 } from './amounts'

describe('what a wheel takes of a mix', () => {
  const whole = ['face', 'windows', 'spokeBacks', 'barrel'] as const

  it('grows with the zones and with the wheel', () => {
    const wheel = testWheel()
    expect(zonesAreaM2(wheel, whole)).toBeGreaterThan(zonesAreaM2(wheel, ['face']))
    expect(zonesAreaM2(wheel, [])).toBe(0)
    const small = testWheel({ tyreCode: '195/65 R15', rimWidthInches: 6 })
    expect(millilitresAtCorner(small, whole, 'trigger', {})).toBeLessThan(
      millilitresAtCorner(wheel, whole, 'trigger', {}),
    )
  })

  it('wastes some through an open face, and nothing on a tyre', () => {
    const [open, closed] = [testWheel({ openness: 0.7 }), testWheel({ openness: 0 })]
    const share = (zones: Parameters<typeof zonesAreaM2>[1], wheel = open) =>
      millilitresAtCorner(wheel, zones, 'trigger', {}) / zonesAreaM2(wheel, zones)
    expect(share(['barrel'])).toBeGreaterThan(share(['barrel'], closed))
    expect(share(['tyre'])).toBeCloseTo(share(['tyre'], closed))
  })

  it('is nothing by the wheel where it comes from a bucket', () => {
    expect(millilitresAtCorner(testWheel(), whole, 'bucket', {})).toBe(0)
  })

  it('follows the own figure of the shop', () => {
    const house = millilitresAtCorner(testWheel(), whole, 'trigger', {})
    expect(millilitresAtCorner(testWheel(), whole, 'trigger', { openWheelWaste: 0 })).toBeLessThan(house)
  })
})

describe('bottles and stock', () => {
  const loads = { barrel: { bondedDust: 3, film: 2 } } as const
  const plan = makePlan(testJob(fourCorners({ loads })))

  it('the same mix in the same kind of bottle is made ready once', () => {
    const keys = plan.fills.map(
      ({ container, productName, recipe }) => `${container} ${productName} ${recipe.realFraction}`,
    )
    expect(new Set(keys).size).toBe(keys.length)
    expect(plan.fills.flatMap(({ stageIds }) => stageIds).sort()).toEqual(
      plan.stages.map(({ id }) => id).sort(),
    )
  })

  it('say how much is missing, and nothing where there is enough', () => {
    const [used] = plan.amounts
    if (!used) throw new Error('nothing used')
    const job = testJob(fourCorners({ loads }))
    const scarce = makePlan({
      ...job,
      cabinet: job.cabinet.map((one) => ({
        ...one,
        stockMillilitres: one.id === used.productId ? used.concentrateMillilitres - 7.5 : 1e6,
      })),
    })
    const short = new Map(
      scarce.amounts.map(({ productId, shortMillilitres }) => [productId, shortMillilitres]),
    )
    expect(short.get(used.productId)).toBe(8)
    expect([...short.values()].filter((millilitres) => millilitres > 0)).toHaveLength(1)
  })
})
