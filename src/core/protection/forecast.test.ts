import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clogAt } from './clog'
import { forecastShop, type ShopForecast } from './forecast'
import { likelihoodOfGrades, normalBelow } from './look'
import type { ShopRecord, WornLook } from './record'
import { testEstimates } from './testEstimates'

const day = 86_400_000
const now = new Date('2026-07-15T09:00:00Z')
const ago = (days: number) => new Date(now.getTime() - days * day)
const record: ShopRecord = {
  now,
  estimates: testEstimates,
  products: [{ id: 'seal', kind: 'spraySealant' }],
  sets: [{ id: 'set', kilometresPerWeek: 250, dustFactor: 1, stored: [] }],
  layers: [
    { id: 'front', setId: 'set', axle: 'front', productId: 'seal', appliedAt: ago(40), endedAt: null },
    { id: 'rear', setId: 'set', axle: 'rear', productId: 'seal', appliedAt: ago(40), endedAt: null },
  ],
  washes: [],
  looks: [],
}
const dueOf = (forecast: ShopForecast, id = 'front') =>
  forecast.layers.find((one) => one.id === id)!.renewDays
const withSet = (changes: Partial<ShopRecord['sets'][number]>): ShopRecord => ({
  ...record,
  sets: [{ ...record.sets[0]!, ...changes }],
})
const look = (beading: WornLook['beading'], days = 5): WornLook => ({
  at: ago(days), layerId: 'front', beading, afterReviving: true,
}) // prettier-ignore

describe('a forecast', () => {
  it('has fronts due before rears, and twice the dust sooner', () => {
    const plain = forecastShop(record)
    expect(dueOf(plain).p50).toBeLessThan(dueOf(plain, 'rear').p50)
    expect(dueOf(forecastShop(withSet({ dustFactor: 2 }))).p50).toBeLessThan(dueOf(plain).p50)
  })

  it('comes nearer with a harsh wash, and hardly moves in storage', () => {
    const plain = dueOf(forecastShop(record)).p50
    const washed = { ...record, washes: [{ at: ago(10), setId: 'set', wear: 0.2, reviving: false }] }
    expect(dueOf(forecastShop(washed)).p50).toBeLessThan(plain)
    const stored = withSet({ stored: [{ from: ago(40), to: null }] })
    expect(dueOf(forecastShop(stored)).p50).toBeGreaterThan(plain + 30)
  })

  it('moves with a look: worn nearer, like new farther, and the band is narrower for it', () => {
    const plain = dueOf(forecastShop(record))
    const worn = dueOf(forecastShop({ ...record, looks: [look(1)] }))
    const fresh = dueOf(forecastShop({ ...record, looks: [look(4)] }))
    expect(worn.p50).toBeLessThan(plain.p50)
    expect(fresh.p50).toBeGreaterThan(plain.p50)
    expect(worn.p90 - worn.p10).toBeLessThan(plain.p90 - plain.p10)
  })

  it('does not take clogged for gone: a bad look before a reviving wash says less', () => {
    const clogged = { ...look(2), afterReviving: false }
    const before = dueOf(forecastShop({ ...record, looks: [clogged] }))
    const after = dueOf(forecastShop({ ...record, looks: [look(2)] }))
    expect(after.p50).toBeLessThan(before.p50)
  })

  it('is the same in whatever order the record is entered', () => {
    const looks = [look(3, 20), look(2, 5), { ...look(4, 12), layerId: 'rear' }]
    const turned = { ...record, looks: [...looks].reverse(), layers: [...record.layers].reverse() }
    const [one, other] = [forecastShop({ ...record, looks }), forecastShop(turned)]
    for (const id of ['front', 'rear']) {
      expect(dueOf(other, id).p50).toBeCloseTo(dueOf(one, id).p50, 0)
      expect(dueOf(other, id).p90).toBeCloseTo(dueOf(one, id).p90, 0)
    }
  })

  it('is never later with more kilometres, dust or washes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 800 }),
        fc.integer({ min: 0, max: 800 }),
        fc.constantFrom(0.5, 1, 1.6),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (kilometres, more, dustFactor, wear) => {
          const of = (perWeek: number, dust: number, washed: number) =>
            dueOf(
              forecastShop({
                ...withSet({ kilometresPerWeek: perWeek, dustFactor: dust }),
                washes: [{ at: ago(9), setId: 'set', wear: washed, reviving: false }],
              }),
            ).p50
          const plain = of(kilometres, dustFactor, wear)
          expect(of(kilometres + more, dustFactor, wear)).toBeLessThanOrEqual(plain + 0.2)
          expect(of(kilometres, dustFactor * 1.5, wear)).toBeLessThanOrEqual(plain + 0.2)
          expect(of(kilometres, dustFactor, Math.min(1, wear + 0.1))).toBeLessThanOrEqual(plain + 0.2)
        },
      ),
      { numRuns: 25 },
    )
  })
})

describe('its parts', () => {
  it('clog grows, a wash leaves some and a reviving one none', () => {
    const layer = record.layers[0]!
    const at = (days: number, washes: ShopRecord['washes'] = []) =>
      clogAt(ago(days), layer, washes, record.estimates)
    expect(at(33)).toBeCloseTo(0.03, 2)
    expect(at(5)).toBeGreaterThan(at(20))
    const wash = { at: ago(10), setId: 'set', wear: 0.03, reviving: false }
    expect(at(9, [wash])).toBeLessThan(at(9))
    expect(at(10, [{ ...wash, reviving: true }])).toBe(0)
  })

  it('the grades of a look are likely in all to one, and fall with health', () => {
    for (const shown of [0, 0.3, 0.6, 1])
      expect(likelihoodOfGrades(shown, 0.11).reduce((sum, one) => sum + one)).toBeCloseTo(1, 6)
    const middle = (shown: number) =>
      likelihoodOfGrades(shown, 0.11).reduce((sum, one, grade) => sum + one * grade, 0)
    expect(middle(0.2)).toBeLessThan(middle(0.5))
    expect(normalBelow(0)).toBeCloseTo(0.5, 6)
    expect(normalBelow(1.2815515655)).toBeCloseTo(0.9, 5)
  })
})
