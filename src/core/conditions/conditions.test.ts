import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { coolingCelsius, coolingOf } from './hotBrakes'
import { airMass, beamWattsPerM2, clearSkyWattsPerM2, facingDegrees, uprightWattsPerM2 } from './sun'
import { surfaceCelsius } from './surface'
import { dryingSeconds, evaporationKilogramsPerM2Hour, wetLimitSeconds } from './wetLimit'

describe('sun and surface', () => {
  it('reach the reference: elevation 60°, clear, share 0.6, wind 8 km/h', () => {
    const reaching = 0.6 * clearSkyWattsPerM2(60)
    expect(reaching).toBeCloseTo(534, 0)
    expect(surfaceCelsius(25, 0.95, reaching, 8)).toBeCloseTo(60.9, 1)
  })

  it('know the beam at some heights', () => {
    expect(airMass(90)).toBeCloseTo(1, 2)
    expect(airMass(30)).toBeCloseTo(1.99, 2)
    expect(beamWattsPerM2(90)).toBeCloseTo(1353 * 0.7, 0)
    expect(beamWattsPerM2(-1)).toBe(0)
  })

  it('heat the side that faces the sun, and neither at night', () => {
    const morning = { elevationDegrees: 30, azimuthDegrees: 90 }
    const right = facingDegrees('frontRight', 0)[0] as number
    const left = facingDegrees('rearLeft', 0)[0] as number
    expect(right).toBe(90)
    expect(left).toBe(270)
    expect(uprightWattsPerM2(morning, right, 0)).toBeGreaterThan(3 * uprightWattsPerM2(morning, left, 0))
    expect(uprightWattsPerM2({ ...morning, elevationDegrees: -3 }, right, 0)).toBe(0)
  })

  it('get less under clouds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 89, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (elevationDegrees, facing, cloud) => {
          const sun = { elevationDegrees, azimuthDegrees: 180 }
          const some = uprightWattsPerM2(sun, facing, cloud)
          expect(some).toBeGreaterThanOrEqual(0)
          // On the sunny side; the other side may gain a little scattered light.
          if (Math.abs(facing - 180) < 60 && elevationDegrees < 60)
            expect(uprightWattsPerM2(sun, facing, Math.min(1, cloud + 0.2))).toBeLessThanOrEqual(some + 1e-9)
        },
      ),
    )
  })
})

describe('evaporation and the wet limit', () => {
  it.each([
    [50, 20, 20, 0.5, 8, 0.267, 11.2],
    [50, 45, 30, 0.3, 10, 1.87, 1.6],
    [120, 45, 30, 0.3, 10, 1.87, 3.85],
  ])(
    'reach the reference: %d g/m² at %d/%d °C, r %d, %d km/h',
    (film, surface, air, humidity, wind, evaporation, minutes) => {
      const found = evaporationKilogramsPerM2Hour(surface, air, humidity, wind)
      expect(Math.abs(found / evaporation - 1)).toBeLessThan(0.001)
      expect(Math.abs(dryingSeconds(film, found) / 60 / minutes - 1)).toBeLessThan(0.005)
    },
  )

  const state = fc.record({
    surface: fc.double({ min: 0, max: 70, noNaN: true }),
    air: fc.double({ min: 0, max: 40, noNaN: true }),
    humidity: fc.double({ min: 0, max: 0.9, noNaN: true }),
    wind: fc.double({ min: 0, max: 50, noNaN: true }),
    film: fc.double({ min: 20, max: 300, noNaN: true }),
  })

  it('falls with heat, wind and dryness, and grows with the film', () => {
    fc.assert(
      fc.property(state, ({ surface, air, humidity, wind, film }) => {
        const limit = (
          changes: Partial<{ surface: number; humidity: number; wind: number; film: number }> = {},
        ) => {
          const at = { surface, humidity, wind, film, ...changes }
          return wetLimitSeconds(
            at.film,
            evaporationKilogramsPerM2Hour(at.surface, air, at.humidity, at.wind),
            {},
          )
        }
        const now = limit()
        expect(limit({ surface: surface + 5 })).toBeLessThanOrEqual(now)
        expect(limit({ humidity: Math.max(0, humidity - 0.1) })).toBeLessThanOrEqual(now)
        expect(limit({ film: film + 20 })).toBeGreaterThanOrEqual(now)
        if (now !== Infinity) expect(limit({ wind: wind + 5 })).toBeLessThanOrEqual(now)
      }),
    )
  })

  it('is endless where the air holds more than the wheel gives', () => {
    expect(wetLimitSeconds(50, evaporationKilogramsPerM2Hour(5, 20, 0.9, 5), {})).toBe(Infinity)
  })
})

describe('hot brakes', () => {
  it('reach the reference: 96 then 71 °C after 6 min at 18 °C', () => {
    const cooling = coolingOf({ firstCelsius: 96, secondCelsius: 71, minutesApart: 6 }, 18, 35)
    expect(cooling.ok && cooling.value.tauMinutes).toBeCloseTo(15.53, 2)
    expect(cooling.ok && cooling.value.waitMinutes).toBeCloseTo(17.66, 2)
  })

  it('end at the wanted temperature after the wait', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 300, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.double({ min: 1, max: 30, noNaN: true }),
        (firstCelsius, share, minutesApart) => {
          const secondCelsius = 20 + (firstCelsius - 20) * share
          const cooling = coolingOf({ firstCelsius, secondCelsius, minutesApart }, 20, 35)
          expect(cooling.ok).toBe(true)
          if (!cooling.ok || cooling.value.waitMinutes === 0) return
          expect(
            coolingCelsius(secondCelsius, 20, cooling.value.tauMinutes, cooling.value.waitMinutes),
          ).toBeCloseTo(35, 6)
        },
      ),
    )
  })

  it.each([
    [
      'readings that do not fall',
      { firstCelsius: 70, secondCelsius: 70, minutesApart: 5 },
      18,
      35,
      'secondCelsius',
    ],
    ['an aim below the air', { firstCelsius: 90, secondCelsius: 70, minutesApart: 5 }, 36, 35, 'okCelsius'],
    ['no time between', { firstCelsius: 90, secondCelsius: 70, minutesApart: 0 }, 18, 35, 'minutesApart'],
  ])('refuse %s', (_, readings, air, aim, path) => {
    const cooling = coolingOf(readings, air, aim)
    expect(cooling.ok ? null : cooling.problems[0]?.path).toBe(path)
  })

  it('ask for no wait where it is cool already', () => {
    expect(coolingOf({ firstCelsius: 30, secondCelsius: 30, minutesApart: 1 }, 18, 35)).toMatchObject({
      ok: true,
      value: { waitMinutes: 0 },
    })
  })
})
