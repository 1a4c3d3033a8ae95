import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { usualBrakes } from '@/core/wheel/brakes'
import { expectedAmounts, expectedLoads, gradeOfAmount, learntFactor, type SinceClean } from './expectedLoad'
import { amountOfGrade, grades } from './soil'

const since = (changes: Partial<SinceClean> = {}): SinceClean => ({
  kilometres: 1000,
  days: 30,
  brakes: usualBrakes,
  winter: false,
  dustFactor: 1,
  ...changes,
})
const dust = (position: 'frontLeft' | 'rearLeft', changes: Partial<SinceClean> = {}) =>
  expectedAmounts(position, since(changes), {}).freshDust ?? 0

describe('the load to expect', () => {
  it('is heavier in front than behind, and the other way round with carbon-ceramic fronts', () => {
    expect(dust('frontLeft')).toBeGreaterThan(dust('rearLeft'))
    const brakes = {
      front: { pads: 'track', discs: 'carbonCeramic' },
      rear: { pads: 'track', discs: 'iron' },
    } as const
    expect(dust('frontLeft', { brakes })).toBeLessThan(dust('rearLeft', { brakes }))
  })

  it('hardly speaks of dust with drums, and of more with track pads', () => {
    const axle = (pads: 'organic' | 'track', discs: 'iron' | 'drum') => ({
      front: { pads, discs },
      rear: { pads, discs },
    })
    expect(dust('frontLeft', { brakes: axle('organic', 'drum') })).toBeLessThan(0.2)
    expect(dust('frontLeft', { brakes: axle('track', 'iron') })).toBeGreaterThan(2 * dust('frontLeft'))
  })

  it('brings more film and salt in winter', () => {
    const film = (winter: boolean) => expectedAmounts('frontLeft', since({ winter }), {})
    expect(film(true).film).toBeGreaterThan(film(false).film ?? 0)
    expect(film(true).grit).toBeGreaterThan(film(false).grit ?? 0)
  })

  it('grows with distance and never names a grade twice for nothing', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20_000 }),
        fc.integer({ min: 0, max: 5000 }),
        (kilometres, more) => {
          expect(dust('frontLeft', { kilometres: kilometres + more })).toBeGreaterThanOrEqual(
            dust('frontLeft', { kilometres }),
          )
          for (const bySoil of Object.values(expectedLoads('frontLeft', since({ kilometres }), {})))
            for (const grade of Object.values(bySoil)) expect(grade).toBeGreaterThan(0)
        },
      ),
    )
    expect(expectedLoads('frontLeft', since({ kilometres: 0, days: 1 }), {})).toEqual({})
  })

  it('grades are the nearest on the doubling scale', () => {
    for (const grade of grades) expect(gradeOfAmount(amountOfGrade(grade))).toBe(grade)
    expect([0.4, 0.6, 1.3, 1.5, 5, 6, 100].map(gradeOfAmount)).toEqual([0, 1, 1, 2, 3, 4, 4])
  })
})

describe('learning from a look', () => {
  it('moves towards what was seen and stays where nothing was expected', () => {
    expect(learntFactor(1, 2, 4)).toBeGreaterThan(1)
    expect(learntFactor(1, 4, 1)).toBeLessThan(1)
    expect(learntFactor(1.3, 0.1, 8)).toBe(1.3)
  })

  it('settles at the true factor of a vehicle', () => {
    let factor = 1
    for (let visit = 0; visit < 30; visit += 1) factor = learntFactor(factor, 2 * factor, 2 * 1.8)
    expect(factor).toBeCloseTo(1.8, 2)
  })

  it('keeps within bounds whatever is seen', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.25, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (factor, expectedAmount, graded) => {
          const next = learntFactor(factor, expectedAmount, graded)
          expect(next).toBeGreaterThanOrEqual(0.25)
          expect(next).toBeLessThanOrEqual(4)
        },
      ),
    )
  })
})
