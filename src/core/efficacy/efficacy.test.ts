import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cleaningFamilyIds } from '@/core/chemistry/families'
import { ratingOf } from '@/core/chemistry/product'
import { productFromFamily } from '@/core/chemistry/starterCabinet'
import { estimateIds, houseEstimates } from '@/core/estimates/houseEstimates'
import { soils } from '@/core/soils/soil'
import { starterTools } from '@/core/tools/starterTools'
import { mechanicsOf } from './mechanics'
import { leftOf, removalExponent, type Use } from './removal'
import { wearShare } from './wear'

const degreaser = productFromFamily('degreaser')
const use = (changes: Partial<Use> = {}): Use => ({
  product: degreaser,
  fraction: degreaser.strength.to,
  dwellSeconds: degreaser.dwellSeconds.max,
  surfaceCelsius: 20,
  ...changes,
})

describe('what a product removes', () => {
  it.each([
    ['rated 4', 'film', {}, Math.log(33)],
    ['rated 2', 'freshDust', {}, Math.log(4)],
    ['not rated', 'tar', {}, 0],
    ['half the strength', 'film', { fraction: degreaser.strength.to / 2 }, Math.log(33) * 0.5 ** 0.6],
    ['ten degrees colder', 'film', { surfaceCelsius: 10 }, Math.log(33) / 1.5],
    ['frost counts as 0 °C', 'film', { surfaceCelsius: -15 }, Math.log(33) / 1.5 ** 2],
    ['heat counts up to 40 °C', 'film', { surfaceCelsius: 90 }, Math.log(33) * 1.5 ** 2],
  ] as const)('%s', (_, soil, changes, exponent) => {
    expect(removalExponent(soil, use(changes), {})).toBeCloseTo(exponent, 9)
  })

  it('is more with strength, warmth and time, and never negative', () => {
    const anyUse = fc.record({
      family: fc.constantFrom(...cleaningFamilyIds),
      soil: fc.constantFrom(...soils),
      share: fc.double({ min: 0.05, max: 1, noNaN: true }),
      seconds: fc.integer({ min: 1, max: 900 }),
      celsius: fc.double({ min: -10, max: 60, noNaN: true }),
      more: fc.double({ min: 1, max: 2, noNaN: true }),
    })
    fc.assert(
      fc.property(anyUse, ({ family, soil, share, seconds, celsius, more }) => {
        const product = productFromFamily(family)
        const at = (fraction: number, dwellSeconds: number, surfaceCelsius: number) =>
          removalExponent(soil, { product, fraction, dwellSeconds, surfaceCelsius }, {})
        const fraction = share * product.strength.to
        const base = at(fraction, seconds, celsius)
        expect(base).toBeGreaterThanOrEqual(0)
        expect(base > 0).toBe(ratingOf(product, soil) > 0)
        expect(at(fraction * more, seconds, celsius)).toBeGreaterThanOrEqual(base)
        expect(at(fraction, seconds * more, celsius)).toBeGreaterThanOrEqual(base)
        expect(at(fraction, seconds, celsius + more)).toBeGreaterThanOrEqual(base)
      }),
    )
  })

  it('leaves an amount inside its band', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (amount, exponent) => {
          const { expected, low, high } = leftOf(amount, exponent, {})
          expect(low).toBeLessThanOrEqual(expected)
          expect(high).toBeGreaterThanOrEqual(expected)
          expect(high).toBeLessThanOrEqual(amount)
        },
      ),
    )
    expect(leftOf(8, Math.log(33), {}).expected).toBeCloseTo(8 / 33, 9)
  })
})

it('a shop can put its own value in the place of an estimate', () => {
  expect(removalExponent('film', use(), { removalRating4: 1 })).toBe(1)
})

describe('wear of protection', () => {
  const gel = productFromFamily('heavyGel')
  const gelUse = use({ product: gel, fraction: 1, dwellSeconds: gel.dwellSeconds.max })
  it('is small on a coating, larger on a sealant, largest on a wax', () => {
    const share = (kind: 'ceramicCoating' | 'spraySealant' | 'wheelWax') =>
      wearShare('some', gelUse, [kind], {})
    expect(share('ceramicCoating')).toBeCloseTo(0.01, 9)
    expect(share('spraySealant')).toBeCloseTo(0.1, 9)
    expect(share('wheelWax')).toBeCloseTo(0.2, 9)
  })
  it('never takes more than is there, and nothing where nothing is', () => {
    expect(wearShare('strips', gelUse, ['wheelWax'], {})).toBe(1)
    expect(wearShare('strips', gelUse, [], {})).toBe(0)
    expect(wearShare('none', gelUse, ['wheelWax'], {})).toBe(0)
  })
})

it('mechanics: nothing, soft, stiff', () => {
  const tool = (id: string) => starterTools.find((one) => one.id === id) ?? null
  expect([null, tool('wheel-mitt'), tool('tyre-brush')].map((one) => mechanicsOf(one, {}))).toEqual([
    0.4, 1, 1.4,
  ])
})

it('every estimate lies within what a shop may set, and says why', () => {
  for (const id of estimateIds) {
    const { value, low, high } = houseEstimates[id]
    expect([id, value >= low && value <= high]).toEqual([id, true])
  }
})
