import { inEnglish } from '@/i18n/testEnglish'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkReading, drivenBy } from './drivenBy'
import { wearEstimatesOf } from './houseWear'
import { setRecordOf, type SetFacts } from './setHistory'
import { checkWheelChange, isStoredAt, storedPeriods, type WheelChange } from './wheelChange'

const day = (text: string): Date => new Date(`${text}T10:00:00Z`)
const now = day('2026-07-15')

describe('driving', () => {
  const told = [{ from: day('2025-01-01'), kilometresPerWeek: 250 }]
  it('is what was told, until readings tell it better', () => {
    expect(drivenBy(told, [])).toEqual({ kilometresPerWeek: 250, driven: [] })
    const { driven } = drivenBy(told, [
      { at: day('2026-01-01'), kilometres: 1000 },
      { at: day('2026-01-29'), kilometres: 2000 },
      { at: day('2026-02-02'), kilometres: 2900 },
      { at: day('2026-02-26'), kilometres: 3000 },
    ])
    // Four weeks for a thousand, and four for the next; what lies four days apart says nothing by itself.
    expect(driven.map(({ kilometresPerWeek }) => Math.round(kilometresPerWeek))).toEqual([250, 250])
  })
  it('what is told after the last reading holds from then on', () => {
    const later = [...told, { from: day('2026-05-01'), kilometresPerWeek: 600 }]
    const { driven } = drivenBy(later, [
      { at: day('2026-01-01'), kilometres: 1000 },
      { at: day('2026-03-01'), kilometres: 2000 },
    ])
    expect(driven.at(-1)).toEqual({ from: day('2026-05-01'), kilometresPerWeek: 600 })
  })
  it.each([
    ['goes back', 900, '2026-06-01', 'does not go back'],
    ['jumps a million', 1_001_000, '2026-06-01', 'Count the digits'],
    ['is above a later one', 5000, '2025-12-24', 'must be lower'],
    ['is of tomorrow', 1200, '2026-07-16', 'the day it was read'],
  ])('a reading that %s is refused', (_, kilometres, at, words) => {
    const readings = [{ at: day('2026-01-01'), kilometres: 1000 }]
    const checked = checkReading({ at: day(at), kilometres }, readings, now)
    expect(checked.ok ? '' : inEnglish(checked.problems)[0]!.fix).toContain(words)
  })
  it('takes a plausible one', () => {
    expect(
      checkReading({ at: now, kilometres: 4000 }, [{ at: day('2026-01-01'), kilometres: 1000 }], now).ok,
    ).toBe(true)
  })
})

describe('changes of wheels', () => {
  const changes: WheelChange[] = [
    { at: day('2025-11-01'), mountedSetId: 'winter' },
    { at: day('2026-04-01'), mountedSetId: 'summer' },
  ]
  it('store the set that comes off until it goes on again', () => {
    expect(storedPeriods('summer', changes, false)).toEqual([
      { from: day('2025-11-01'), to: day('2026-04-01') },
    ])
    expect(storedPeriods('winter', changes, false)).toEqual([
      { from: new Date(0), to: day('2025-11-01') },
      { from: day('2026-04-01'), to: null },
    ])
    expect(isStoredAt('winter', changes, false, now)).toBe(true)
  })
  it('a vehicle’s only set was never stored before it was fitted again', () => {
    expect(storedPeriods('summer', [{ at: day('2026-07-01'), mountedSetId: 'summer' }], true)).toEqual([])
  })
  it('never have two sets on at once, whatever the changes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ days: fc.integer({ min: 1, max: 60 }), on: fc.constantFrom('a', 'b', 'c', null) }),
          {
            minLength: 1,
            maxLength: 12,
          },
        ),
        (steps) => {
          let at = day('2024-01-01').getTime()
          const own = steps.map(({ days, on }): WheelChange => {
            at += days * 86_400_000
            return { at: new Date(at), mountedSetId: on }
          })
          for (let when = own[0]!.at.getTime() + 1; when < at + 86_400_000; when += 5 * 86_400_000) {
            const on = ['a', 'b', 'c'].filter((id) => !isStoredAt(id, own, false, new Date(when)))
            expect(on.length).toBeLessThanOrEqual(1)
          }
        },
      ),
    )
  })
  it('are refused in times to come, and before one that is known', () => {
    expect(checkWheelChange(day('2026-07-16'), changes, now).ok).toBe(false)
    expect(checkWheelChange(day('2026-03-01'), changes, now).ok).toBe(false)
    expect(checkWheelChange(day('2026-07-01'), changes, now).ok).toBe(true)
  })
})

describe('the record of a set', () => {
  const facts: SetFacts = {
    id: 'set', parked: 'garage', season: null, dustFactor: { front: 2, rear: 1 }, isOnlySet: true,
    told: [{ from: day('2025-01-01'), kilometresPerWeek: 100 }], readings: [], changes: [],
    layers: [
      { axle: 'front', positions: ['frontLeft'], kind: 'ceramicCoating', productName: 'Skin', appliedAt: day('2026-01-01'), endedAt: null, coats: 2 },
      { axle: 'front', positions: ['frontLeft'], kind: 'coatingTopper', productName: 'Top', appliedAt: day('2026-03-01'), endedAt: null, coats: 1 },
    ],
    washes: [{ at: day('2026-04-01'), wear: null, reviving: false }],
    looks: [
      { at: day('2026-02-01'), positions: ['frontLeft'], beading: 4, release: 3, slickness: null, afterReviving: false },
      { at: day('2026-04-01'), positions: ['frontLeft', 'rearLeft'], beading: 2, release: null, slickness: null, afterReviving: false },
      { at: day('2025-12-01'), positions: ['frontLeft'], beading: 0, release: null, slickness: null, afterReviving: false },
    ],
  } // prettier-ignore
  const record = setRecordOf(facts, {})

  it('gives each look to what was put on last before it, and leaves out what was at nothing', () => {
    expect(record.looks.map(({ layerId, beading }) => [layerId.split(' ')[2], beading])).toEqual([
      ['ceramicCoating', 4],
      ['coatingTopper', 2],
    ])
    expect(record.looks[0]).toMatchObject({ release: 3 })
    expect(record.looks[0]).not.toHaveProperty('slickness')
  })
  it('knows coats, cover, garage, axles and usual washes', () => {
    const [coating, topper] = record.layers
    expect(coating).toMatchObject({ lifeFactor: 1.25, covered: [{ from: day('2026-03-01') }] })
    expect(topper).not.toHaveProperty('covered')
    expect(record.set).toMatchObject({ climate: 0.85, dustFactor: 2, rearDustFactor: 1 })
    expect(record.washes[0]!.wear).toBe(0.03)
  })
})

describe('house estimates of wear', () => {
  it('follow the region: salt, winters, and heat half a year away', () => {
    const north = wearEstimatesOf({}, { winterMonths: [11, 12, 1, 2, 3], salt: 'much' })
    expect(north.winterFactor).toBeCloseTo(1.5 * 1.25)
    expect(north.hotMonths).toEqual([6, 7, 8])
    expect(wearEstimatesOf({}, { winterMonths: [5, 6, 7, 8, 9], salt: 'few' }).hotMonths).toEqual([12, 1, 2])
    expect(
      wearEstimatesOf({ lifeSpraySealant: 100 }, { winterMonths: [], salt: 'usual' }).kinds.spraySealant!
        .lifeDays,
    ).toBe(100)
  })
})
