import { inEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { conditionsFile, conditionsOf } from './conditions'
import { parse } from './problems'

describe('conditions', () => {
  it('know the sun of a place and an hour', () => {
    const at = (startAt: string) =>
      conditionsOf(v.parse(conditionsFile, { place: { latitude: 50, longitude: 0 }, startAt }))
    const noon = at('2026-06-21T12:00:00Z')
    // 90° − 50° + 23.4°, and due south.
    expect(noon.sun?.elevationDegrees).toBeCloseTo(63.4, 0)
    expect(noon.sun?.azimuthDegrees).toBeGreaterThan(175)
    expect(noon.sun?.azimuthDegrees).toBeLessThan(185)
    expect(at('2026-06-21T00:00:00Z').sun?.elevationDegrees).toBeLessThan(0)
    expect(noon.day).toHaveLength(24)
    expect(noon.startHour).toBe(12)
    const warmest = [...noon.day].sort((a, b) => b.airCelsius - a.airCelsius)[0]
    expect(warmest?.hour).toBe(15)
  })

  it('take the forecast for its hours', () => {
    const { day } = conditionsOf(
      v.parse(conditionsFile, {
        place: { latitude: 50, longitude: 0 },
        startAt: '2026-06-21T12:00:00Z',
        utcOffsetMinutes: 60,
        forecast: [
          { hour: 14, airCelsius: 31, humidityPercent: 30, windKilometresPerHour: 20, cloudPercent: 0 },
        ],
      }),
    )
    expect(day[14]).toMatchObject({
      airCelsius: 31,
      humidityShare: 0.3,
      windKilometresPerHour: 20,
      cloudShare: 0,
    })
  })

  it.each([
    ['humidity over 100 %', { humidityPercent: 101 }, 'humidityPercent', /0 to 100/],
    ['wind below zero', { windKilometresPerHour: -1 }, 'windKilometresPerHour', /0 km\/h to 120/],
    ['latitude 200', { place: { latitude: 200, longitude: 0 } }, 'place.latitude', /-90 to 90/],
    ['air of 80 °C', { airCelsius: 80 }, 'airCelsius', /-20 °C to 50/],
    [
      'a thermometer at 900 °C',
      { readings: [{ position: 'frontLeft', celsius: 900 }] },
      'readings[0].celsius',
      /-20 °C to 120/,
    ],
    ['an instant of nonsense', { startAt: 'noon' }, 'startAt', /Write the time as/],
  ])('refuse %s at its field', (_, input, path, fix) => {
    const read = parse(conditionsFile, input)
    expect(read.ok).toBe(false)
    if (read.ok) return
    expect(read.problems[0]?.path).toBe(path)
    expect(inEnglish(read.problems)[0]?.fix).toMatch(fix)
  })
})
