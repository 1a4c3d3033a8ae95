import { describe, expect, it } from 'vitest'
import * as v from 'valibot'
import { intakeInput } from '@/contracts/intake'
import { intakeOf, isDrivable, numberOf, type IntakeValues } from './intakeValues'

const values: IntakeValues = {
  loads: { frontLeft: { face: { film: 2 } }, rearLeft: {} },
  service: 'maintain',
  kilometres: '1200',
  touched: false,
  off: ['rearLeft'],
  airCelsius: '7,5',
  surfaceCelsius: '',
  odometer: '',
  place: 'fullSun',
}
const now = new Date('2026-05-01T10:00:00Z')
const sent = (part: Partial<IntakeValues> = {}) =>
  intakeOf(
    { ...values, ...part },
    ['frontLeft', 'frontRight', 'rearLeft'],
    { humidityPercent: 40 },
    'a5f0a4f0-7d5c-4d2e-9c1e-0d3f5b6a7c81',
    now,
  )

describe('an intake as it is sent', () => {
  it('has the wheels that are not left out, what was typed, and the weather with it', () => {
    const read = v.parse(intakeInput, sent())
    expect(read.corners.map(({ position }) => position)).toEqual(['frontLeft', 'frontRight'])
    expect(read.corners[0]?.loads).toEqual([{ zone: 'face', soil: 'film', grade: 2 }])
    expect(read.kilometres).toBe(1200)
    expect(read.conditions).toMatchObject({
      airCelsius: 7.5,
      humidityPercent: 40,
      startAt: now.toISOString(),
    })
  })

  it('says nothing of what was not read', () => {
    expect(sent({ kilometres: ' ' })).not.toHaveProperty('kilometres')
    expect(sent()).not.toHaveProperty('odometerKilometres')
    expect(sent().conditions).not.toHaveProperty('surfaceCelsius')
    expect(sent({ surfaceCelsius: '31', odometer: '50000' })).toMatchObject({
      odometerKilometres: 50_000,
      conditions: { surfaceCelsius: 31 },
    })
  })

  it.each([
    ['', NaN],
    ['x', NaN],
    ['1,5', 1.5],
  ])('%j typed is %d', (text, value) => {
    expect(numberOf(text)).toBe(value)
  })

  it('nobody drives backwards or round the world five times between two washes', () => {
    expect([-1, 0, 200_000, 200_001, NaN].map(isDrivable)).toEqual([false, true, true, false, false])
  })
})
