import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clogAt } from './clog'
import { clogStateOf } from './clogState'
import { compareProducts } from './compareProducts'
import { courseOf, goneAt } from './course'
import { followSet } from './followed'
import { forecastingOf, forecastShop, type ShopForecast } from './forecast'
import { learnFrom } from './learn'
import { gradesOf, likelihoodOf, noGrades, normalBelow } from './look'
import { outlookOf } from './outlook'
import type { ShopRecord, WornLook } from './record'
import { seasonsOf } from './seasons'
import { testEstimates } from './testEstimates'
import { whyDue } from './whyDue'

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

  it.each(['spraySealant', 'sprayRinseSilica', 'wheelWax'] as const)(
    'has each axle due by its own looks, whatever the other one shows: %s',
    (kind) => {
      const shop = { ...record, products: [{ id: 'seal', kind }] }
      const plain = dueOf(forecastShop(shop), 'rear').p50
      const rearWith = (front: WornLook['beading'], rear: WornLook['beading']) =>
        dueOf(forecastShop({ ...shop, looks: [look(front), { ...look(rear), layerId: 'rear' }] }), 'rear').p50
      for (const front of [0, 1, 2, 3, 4] as const) {
        expect(rearWith(front, 4)).toBeGreaterThan(plain)
        expect(rearWith(front, 0)).toBeLessThan(plain)
      }
    },
  )

  it('keeps the axles together where the shop has set that they hardly differ', () => {
    const apart = (axleSpread: number) => {
      const looks = [look(0), { ...look(4), layerId: 'rear' }]
      const forecast = forecastShop({ ...record, estimates: { ...testEstimates, axleSpread }, looks })
      return dueOf(forecast, 'rear').p50 - dueOf(forecast, 'front').p50
    }
    expect(apart(0.05)).toBeLessThan(apart(0.35))
    expect(apart(0.35)).toBeLessThan(apart(1))
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

const seasons = seasonsOf(testEstimates)

describe('its parts', () => {
  it('clog grows, a wash leaves some and a reviving one none', () => {
    const at = (days: number, washes: ShopRecord['washes'] = []) =>
      clogAt(ago(days).getTime(), ago(40).getTime(), washes, seasons, testEstimates)
    expect(at(33)).toBeCloseTo(0.03, 2)
    expect(at(5)).toBeGreaterThan(at(20))
    const wash = { at: ago(10), setId: 'set', wear: 0.03, reviving: false }
    expect(at(9, [wash])).toBeLessThan(at(9))
    expect(at(10, [{ ...wash, reviving: true }])).toBe(0)
  })

  it('the grades of a look are likely in all to one, fall with health, and their slopes are those of small steps', () => {
    const graded = (shown: number, spread = 0.11) => {
      const grades = noGrades()
      gradesOf([{ shown, share: 1, slope: 1 }], spread, grades)
      return grades
    }
    const middle = (shown: number) => graded(shown).likely.reduce((sum, one, grade) => sum + one * grade, 0)
    expect(middle(0.2)).toBeLessThan(middle(0.5))
    for (const shown of [0, 0.3, 0.6, 1]) {
      const { likely, byShown, bySpread } = graded(shown)
      expect(likely.reduce((sum, one) => sum + one)).toBeCloseTo(1, 6)
      const small = 1e-4
      const [more, wider] = [graded(shown + small), graded(shown, 0.11 * (1 + small))]
      for (let grade = 0; grade < 5; grade += 1) {
        expect(likelihoodOf(grade, [{ shown, share: 1, slope: 1 }], 0.11)).toBeCloseTo(likely[grade]!, 12)
        expect(byShown[grade]).toBeCloseTo((more.likely[grade]! - likely[grade]!) / small, 1)
        expect(bySpread[grade]).toBeCloseTo((wider.likely[grade]! - likely[grade]!) / small, 1)
      }
    }
    expect(normalBelow(0)).toBeCloseTo(0.5, 6)
    expect(normalBelow(1.2815515655)).toBeCloseTo(0.9, 5)
  })

  it('adds up days, winter days, storage and kilometres, whatever changes on the way', () => {
    const set = {
      ...record.sets[0]!,
      stored: [{ from: ago(30), to: ago(20) }],
      driven: [{ from: ago(10), kilometresPerWeek: 700 }],
    }
    const course = courseOf(set, seasons, ago(40).getTime(), now.getTime(), now.getTime() + 400 * day)
    const gone = goneAt(course, now.getTime())
    expect(gone.days).toBeCloseTo(30)
    expect(gone.storedDays).toBeCloseTo(10)
    expect(gone.winterDays).toBe(0)
    expect(gone.kilometres).toBeCloseTo((20 / 7) * 250 + (10 / 7) * 700)
    expect(goneAt(course, now.getTime() + 365 * day).winterDays).toBeCloseTo(151)
  })

  it('a topper keeps most of the wear off the coating under it', () => {
    const estimates = { ...testEstimates, coveredFactor: 0.25 }
    const coated = {
      ...record,
      estimates,
      products: [{ id: 'seal', kind: 'ceramicCoating' }],
    }
    const covered = {
      ...coated,
      layers: coated.layers.map((layer) => ({ ...layer, covered: [{ from: ago(40), to: null }] })),
    }
    const used = (one: ShopRecord) => forecastShop(one).layers[0]!.usedShare
    expect(used(covered)).toBeCloseTo(used(coated) * 0.25, 2)
  })
})

describe('a shop learnt together', () => {
  const sets = ['a', 'b', 'c', 'd', 'e', 'f']
  const products = [
    { id: 'lasting', kind: 'spraySealant' },
    { id: 'short', kind: 'spraySealant' },
  ]
  /** Every set has both, one after the other; on one set everything looks worse than on the others. */
  const shop: ShopRecord = {
    ...record,
    products,
    sets: sets.map((id) => ({ ...record.sets[0]!, id })),
    layers: sets.flatMap((setId) =>
      products.map(({ id }, at) => ({
        id: `${setId} ${id}`,
        setId,
        axle: 'front' as const,
        productId: id,
        appliedAt: ago(at === 0 ? 130 : 260),
        endedAt: at === 0 ? null : ago(131),
      })),
    ),
    looks: sets.flatMap((setId) => {
      const less = setId === 'f' ? 2 : 0
      const at = (layer: string, days: number, grade: number): WornLook => ({
        at: ago(days),
        layerId: `${setId} ${layer}`,
        beading: Math.max(0, grade - less) as WornLook['beading'],
        afterReviving: true,
      })
      return [at('lasting', 80, 4), at('lasting', 30, 3), at('short', 200, 2), at('short', 150, 1)]
    }),
  }

  it('blames the product for what it does on all cars, and the car for what happens to everything on it', () => {
    const forecast = forecastShop(shop)
    const life = (id: string) => forecast.products.find((one) => one.id === id)!.lifeMultiplier
    expect(life('lasting').p50).toBeGreaterThan(life('short').p50 * 1.3)
    expect(dueOf(forecast, 'f lasting').p50).toBeLessThan(dueOf(forecast, 'a lasting').p50)
  })

  it('is learnt the same from what was known before as from nothing', () => {
    const before = forecastingOf({ ...shop, looks: shop.looks.slice(1) })
    const [first, ...others] = shop.looks
    const record = before.sets[0]!.record
    const changed = followSet({ ...record, looks: [first!, ...record.looks] }, before.following)
    const next = learnFrom(before.sets.with(0, changed), products, testEstimates, before.learnt).held
    const whole = forecastingOf({ ...shop, looks: [first!, ...others] }).learnt.held
    for (const [at, value] of whole.values.ofShop.entries())
      expect(next.values.ofShop[at]).toBeCloseTo(value, 2)
    for (const [at, value] of whole.values.ofSets.entries())
      expect(next.values.ofSets[at]).toBeCloseTo(value, 2)
  })

  it('compares products on equal wear, with a chance', () => {
    const { sets: followed, learnt } = forecastingOf(shop)
    expect(followed).toHaveLength(6)
    const [best, next] = compareProducts(products, learnt.held, testEstimates, () => 12)
    expect(best!.id).toBe('lasting')
    expect(best!.beatsNext).toBeGreaterThan(0.9)
    expect(best!.lifeDays.p10).toBeGreaterThan(next!.lifeDays.p50)
    expect(next!.beatsNext).toBeNull()
  })

  it('says what weighs most, and what a wash more or less driving would do', () => {
    const { sets: followed, learnt } = forecastingOf(shop)
    const one = followed[5]!.layers.find(({ layer }) => layer.endedAt === null)!
    const outlook = outlookOf(one, 5, learnt.held)
    const setValue = learnt.held.values.ofSets[10]!
    const productValue = learnt.held.values.ofShop[0]!
    const why = whyDue(one, outlook, setValue, productValue, null, 1, now.getTime())
    expect(why.weights.map(({ kind }) => kind)).toContain('hardSet')
    expect(why.washDays).toBeLessThan(0)
    expect(why.kilometreDays).toBeGreaterThan(0)
  })
})

describe('clogged is not gone', () => {
  const followedWith = (looks: readonly WornLook[]) => {
    const { sets, learnt } = forecastingOf({ ...record, looks })
    const one = sets[0]!.layers.find(({ layer }) => layer.id === 'front')!
    return clogStateOf(one, outlookOf(one, 0, learnt.held).values)
  }
  it('proposes a reviving wash where a young layer looks bad', () => {
    expect(followedWith([{ ...look(1, 6), afterReviving: false }]).kind).toBe('clogged')
    expect(followedWith([{ ...look(4, 6), afterReviving: false }]).kind).toBe('clear')
  })
  it('bead 1, reviving wash, bead 3 was clogged; no better is gone', () => {
    const before: WornLook = { ...look(1, 6), afterReviving: false }
    expect(followedWith([before, look(3, 5)]).kind).toBe('wasClogged')
    expect(followedWith([before, look(1, 5)]).kind).toBe('gone')
  })
  it('flat right after a reviving wash is gone, whatever was seen before', () => {
    for (const grade of [0, 2, 4] as const) {
      const before: WornLook = { ...look(grade, 20), afterReviving: false }
      expect(followedWith([before, look(0, 5)]).kind).toBe('gone')
    }
    expect(followedWith([look(0, 5)]).kind).toBe('gone')
    expect(followedWith([{ ...look(0, 5), afterReviving: false }]).kind).not.toBe('gone')
  })
})

describe('calibration', () => {
  const story = (grade: (days: number) => WornLook['beading']): ShopRecord => ({
    ...record,
    sets: Array.from({ length: 12 }, (_, at) => ({ ...record.sets[0]!, id: `s${at}` })),
    layers: Array.from({ length: 12 }, (_, at) => ({ ...record.layers[0]!, id: `l${at}`, setId: `s${at}`, appliedAt: ago(200) })),
    looks: Array.from({ length: 12 }, (_, at) =>
      [180, 150, 110, 60, 20].map((days): WornLook => ({ at: ago(days + at), layerId: `l${at}`, beading: grade(days), afterReviving: true })),
    ).flat(),
  }) // prettier-ignore
  it('says how often the past held, and widens where it did not', () => {
    const steady = forecastShop(story((days) => (days > 100 ? 3 : days > 40 ? 2 : 1)))
    expect(steady.calibration.looks).toBeGreaterThan(10)
    // Like new for months and then gone within weeks: nobody could forecast that.
    const sudden = forecastShop(story((days) => (days > 100 ? 4 : 0)))
    expect(sudden.calibration.inside / sudden.calibration.looks).toBeLessThan(
      steady.calibration.inside / steady.calibration.looks,
    )
    expect(sudden.calibration.widen).toBeGreaterThan(steady.calibration.widen)
  })
  it('says nothing without looks, and the band is wide', () => {
    expect(forecastShop(record).calibration).toEqual({ looks: 0, inside: 0, widen: 1 })
  })
})
