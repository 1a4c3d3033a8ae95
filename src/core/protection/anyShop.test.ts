import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { forecastShop, type Band } from './forecast'
import type { LookGrade, ShopRecord, WornLook } from './record'
import { testEstimates } from './testEstimates'

const day = 86_400_000
const now = new Date('2026-02-15T09:00:00Z')
const ago = (days: number) => new Date(now.getTime() - days * day)
const grade = fc.constantFrom<LookGrade>(0, 1, 2, 3, 4)

/** A set with both axles, some washes, some looks, in any season of its life. */
const shop = fc
  .record({
    kind: fc.constantFrom(...Object.keys(testEstimates.kinds)),
    applied: fc.integer({ min: 5, max: 500 }),
    kilometres: fc.integer({ min: 0, max: 700 }),
    dust: fc.constantFrom(0.5, 1, 1.6),
    washes: fc.array(fc.record({ at: fc.integer({ min: 0, max: 400 }), wear: fc.double({ min: 0, max: 0.2, noNaN: true }), reviving: fc.boolean() }), { maxLength: 8 }),
    looks: fc.array(fc.record({ share: fc.double({ min: 0.05, max: 1, noNaN: true }), beading: grade, afterReviving: fc.boolean() }), { maxLength: 4 }),
  })
  .map(({ kind, applied, kilometres, dust, washes, looks }): ShopRecord => ({
    now, estimates: testEstimates, products: [{ id: 'p', kind }],
    sets: [{ id: 's', kilometresPerWeek: kilometres, dustFactor: dust, stored: [] }],
    layers: (['front', 'rear'] as const).map((axle) => ({ id: axle, setId: 's', axle, productId: 'p', appliedAt: ago(applied), endedAt: null })),
    washes: washes.map(({ at, wear, reviving }) => ({ at: ago(at), setId: 's', wear, reviving })),
    looks: looks.map(({ share, ...look }): WornLook => ({ ...look, at: ago(applied * (1 - share)), layerId: 'front' })),
  })) // prettier-ignore

const renewOf = (record: ShopRecord, id = 'front'): Band =>
  forecastShop(record).layers.find((one) => one.id === id)!.renewDays
const withoutLooks = (record: ShopRecord): ShopRecord => ({ ...record, looks: [] })
const set = (record: ShopRecord, changes: Partial<ShopRecord['sets'][number]>): ShopRecord => ({
  ...record,
  sets: [{ ...record.sets[0]!, ...changes }],
})
/** Dates are told in tenths of days. */
const told = 0.15
const runs = { numRuns: 60 }

describe('whatever is on record', () => {
  it('the band contains its middle, top-up comes before renewal, and all are numbers', () => {
    fc.assert(
      fc.property(shop, (record) => {
        for (const { topUpDays, renewDays, usedShare } of forecastShop(record).layers) {
          for (const { p10, p50, p90 } of [topUpDays, renewDays]) {
            expect(p10).toBeLessThanOrEqual(p50)
            expect(p50).toBeLessThanOrEqual(p90)
            expect(Number.isFinite(p10 + p90 + usedShare)).toBe(true)
          }
          expect(topUpDays.p50).toBeLessThanOrEqual(renewDays.p50 + told)
        }
      }),
      runs,
    )
  })

  it('fronts are due no later than rears where nobody has looked', () => {
    fc.assert(
      fc.property(shop.map(withoutLooks), (record) => {
        expect(renewOf(record).p50).toBeLessThanOrEqual(renewOf(record, 'rear').p50 + told)
      }),
      runs,
    )
  })

  it('more winter, kilometres, dust or washes are never later, and storage never sooner, with what is known as it is', () => {
    fc.assert(
      fc.property(shop.map(withoutLooks), (record) => {
        const plain = renewOf(record).p50
        const harder = [
          { ...record, estimates: { ...record.estimates, winterFactor: 2.5 } },
          set(record, { kilometresPerWeek: record.sets[0]!.kilometresPerWeek + 200 }),
          set(record, { dustFactor: record.sets[0]!.dustFactor * 1.5 }),
          { ...record, washes: [...record.washes, { at: ago(1), setId: 's', wear: 0.1, reviving: false }] },
        ]
        for (const one of harder) expect(renewOf(one).p50).toBeLessThanOrEqual(plain + told)
        const stored = set(record, { stored: [{ from: record.layers[0]!.appliedAt, to: null }] })
        expect(renewOf(stored).p50).toBeGreaterThanOrEqual(plain - told)
      }),
      runs,
    )
  })

  it('a better look is never sooner, after looks that only get worse', () => {
    fc.assert(
      fc.property(shop, fc.boolean(), (record, afterReviving) => {
        const grades = record.looks.map(({ beading }) => beading).sort((a, b) => b - a)
        const looks = [...record.looks]
          .sort((a, b) => a.at.getTime() - b.at.getTime())
          .map((look, at) => ({ ...look, beading: grades[at]! }))
        // What is over is due now, however long it has been.
        const dates = ([0, 1, 2, 3, 4] as const).map((beading) =>
          Math.max(
            0,
            renewOf({
              ...record,
              looks: [...looks, { at: ago(0), layerId: 'front', beading, afterReviving }],
            }).p50,
          ),
        )
        for (const [at, date] of dates.entries()) {
          const worse = dates[at - 1] ?? -Infinity
          // What is learnt is found to a hundredth of a life.
          expect(date).toBeGreaterThanOrEqual(worse - 1 - 0.02 * Math.abs(worse))
        }
      }),
      runs,
    )
  })

  it('the order of entry changes nothing', () => {
    fc.assert(
      fc.property(shop, (record) => {
        const turned = {
          ...record,
          looks: [...record.looks].reverse(),
          layers: [...record.layers].reverse(),
          washes: [...record.washes].reverse(),
        }
        expect(renewOf(turned).p50).toBeCloseTo(renewOf(record).p50, 0)
        expect(renewOf(turned).p90).toBeCloseTo(renewOf(record).p90, 0)
      }),
      runs,
    )
  })

  it('the band widens with the horizon where nothing is learnt', () => {
    fc.assert(
      fc.property(shop.map(withoutLooks), fc.integer({ min: 2, max: 5 }), (record, times) => {
        const fresh = {
          ...record,
          washes: [],
          layers: record.layers.map((layer) => ({ ...layer, appliedAt: ago(1) })),
        }
        const longer = {
          ...fresh,
          estimates: {
            ...fresh.estimates,
            kinds: Object.fromEntries(
              Object.entries(fresh.estimates.kinds).map(([kind, life]) => [kind, { ...life, lifeDays: life.lifeDays * times, lifeKilometres: life.lifeKilometres * times }]),
            ),
          },
        } // prettier-ignore
        const width = ({ p10, p90 }: Band) => p90 - p10
        const [short, long] = [renewOf(fresh), renewOf(longer)]
        // Beyond seven years nobody plans.
        if (long.p90 < 7 * 365) expect(width(long)).toBeGreaterThan(width(short))
      }),
      runs,
    )
  })
})
