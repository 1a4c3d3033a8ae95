import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { familyIds, familyOf } from '@/core/chemistry/families'
import { productFromFamily } from '@/core/chemistry/starterCabinet'
import { fourCorners, testCorner, testJob, testWheel } from '@/core/job/testJob'
import { makePlan } from '@/core/planning/makePlan'
import { millilitresAtCorner, zonesAreaM2 } from './amounts'

const whole = ['face', 'windows', 'spokeBacks', 'barrel'] as const
const cleaner = productFromFamily('ironWheelCleaner')
const of = (family: (typeof familyIds)[number]) => productFromFamily(family)

describe('what a wheel takes of a mix', () => {
  it('grows with the zones and with the wheel', () => {
    const wheel = testWheel()
    expect(zonesAreaM2(wheel, whole)).toBeGreaterThan(zonesAreaM2(wheel, ['face']))
    expect(zonesAreaM2(wheel, [])).toBe(0)
    const small = testWheel({ tyreCode: '195/65 R15', rimWidthInches: 6 })
    expect(millilitresAtCorner(cleaner, { wheel: small }, whole, {})).toBeLessThan(
      millilitresAtCorner(cleaner, { wheel }, whole, {}),
    )
  })

  it('is nothing by the wheel where it comes from a bucket', () => {
    expect(millilitresAtCorner(of('wheelShampoo'), { wheel: testWheel() }, whole, {})).toBe(0)
  })

  it('follows the own figures of the shop', () => {
    const house = millilitresAtCorner(cleaner, { wheel: testWheel() }, whole, {})
    const own = millilitresAtCorner(cleaner, { wheel: testWheel() }, whole, { coverageTrigger: 50 })
    expect(own).toBeCloseTo(house / 2, 6)
    expect(millilitresAtCorner(cleaner, { wheel: testWheel() }, whole, { openWheelWaste: 0 })).toBeLessThan(
      house,
    )
  })

  /** What good hands need a wheel, ml. */
  const usual: readonly (readonly [
    (typeof familyIds)[number],
    readonly Parameters<typeof zonesAreaM2>[1][number][],
    number,
    number,
  ])[] = [
    ['ironWheelCleaner', whole, 50, 90],
    ['allPurpose', whole, 50, 90],
    ['heavyGel', whole, 50, 90],
    ['ironRemover', whole, 50, 90],
    ['tyreCleaner', ['tyre'], 15, 25],
    ['degreaser', ['tyre'], 15, 25],
    ['allPurpose', ['arch'], 25, 40],
    ['sprayRinseSilica', whole, 20, 40],
    ['spraySealant', whole, 3, 12],
    ['wheelWax', whole, 3, 12],
    ['coatingTopper', whole, 3, 12],
    ['ceramicCoating', whole, 3, 6],
    ['tyreDressingWater', ['tyre'], 8, 15],
  ]

  it.each(usual)('of %s on %j stays between what good hands need', (family, zones, least, most) => {
    fc.assert(
      fc.property(
        fc.constantFrom('185/60 R14', '205/55 R16', '255/35 R19', '285/35 R21', '325/30 R22'),
        fc.integer({ min: 5, max: 24 }),
        (tyreCode, spokeCount) => {
          const wheel = testWheel({ tyreCode, spokeCount, spokeWidthMillimetres: 18 })
          const amount = millilitresAtCorner(of(family), { wheel }, zones, {})
          expect(amount).toBeGreaterThanOrEqual(least)
          expect(amount).toBeLessThanOrEqual(most)
        },
      ),
    )
  })

  it('is dabbed where the tar is: a few drops for lumps, forty for a peppered wheel', () => {
    const at = (tar: 0 | 1 | 2 | 3 | 4) =>
      millilitresAtCorner(of('tarRemover'), testCorner('frontLeft', { loads: { face: { tar } } }), whole, {})
    expect([at(0), at(1), at(2), at(4)]).toEqual([0, 6, 10, 40])
    expect(at(3)).toBeGreaterThan(at(2))
  })

  it('of iron remover is half where only the barrel carries dust', () => {
    const at = (loads: Parameters<typeof testCorner>[1]) =>
      millilitresAtCorner(of('ironRemover'), testCorner('frontLeft', loads), whole, {})
    const all = at({ loads: { face: { bondedDust: 2 }, barrel: { bondedDust: 2 } } })
    expect(at({ loads: { barrel: { bondedDust: 3 } } })).toBeCloseTo(all / 2, 6)
  })

  it('has a price in the house cabinet by what it is, none of them alike for all', () => {
    const perLitre = familyIds.map((family) => {
      const { packPriceMinor, packMillilitres } = of(family)
      return packPriceMinor / packMillilitres
    })
    expect(new Set(perLitre).size).toBeGreaterThan(15)
    for (const [at, family] of familyIds.entries())
      if (familyOf(family).delivery === 'bucket') expect(perLitre[at]).toBeLessThan(3)
  })
})

describe('bottles and stock', () => {
  const loads = { barrel: { bondedDust: 3, film: 2 } } as const
  const job = testJob(fourCorners({ loads }))
  const plan = inEnglish(makePlan(job))
  const withStock = (stock: (id: string) => number) =>
    inEnglish(
      makePlan({ ...job, cabinet: job.cabinet.map((one) => ({ ...one, stockMillilitres: stock(one.id) })) }),
    )

  it('the same mix in the same kind of bottle is made ready once', () => {
    const keys = plan.fills.map(
      ({ container, productName, recipe }) => `${container} ${productName} ${recipe.realFraction}`,
    )
    expect(new Set(keys).size).toBe(keys.length)
    expect(plan.fills.flatMap(({ stageIds }) => stageIds).sort()).toEqual(
      plan.stages.map(({ id }) => id).sort(),
    )
  })

  it('neat products are not rounded up to a bottle', () => {
    for (const { recipe } of plan.fills.filter((fill) => fill.recipe.realFraction === 1))
      expect(recipe.concentrateMillilitres % 50).not.toBe(0)
  })

  it('that are too empty are seen before the plan: another product is taken, and said', () => {
    const [used] = plan.amounts.filter(({ productId }) => productId === 'sprayRinseSilica')
    if (!used) throw new Error('not used')
    const made = withStock((id) => (id === used.productId ? used.concentrateMillilitres - 7.5 : 1e6))
    expect(made.stages.some(({ productId }) => productId === used.productId)).toBe(false)
    expect(made.shortfalls.map(({ text }) => text).join()).toMatch(
      /silica is down to \d+ ml, so another product is used/,
    )
    expect(made.amounts.every(({ shortMillilitres }) => shortMillilitres === 0)).toBe(true)
  })

  it('that nothing replaces are planned with, and the plan says what is missing', () => {
    const made = withStock((id) => (id === 'ironRemover' || familyOfId(id) === 'iron' ? 3 : 1e6))
    const short = made.amounts.filter(({ shortMillilitres }) => shortMillilitres > 0)
    expect(short.length).toBeGreaterThan(0)
    expect(made.shortfalls.map(({ text }) => text).join()).toMatch(/runs out: 3 ml left/)
  })

  /** All that takes bonded dust. */
  const familyOfId = (id: string) => {
    const family = familyOf(id as (typeof familyIds)[number])
    return family.purpose === 'clean' && (family.ratings.bondedDust ?? 0) > 0 ? 'iron' : 'other'
  }
})
