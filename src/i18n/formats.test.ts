import { describe, expect, it, test } from 'vitest'
import { usualJug } from '@/core/units/jug'
import { usualUnits } from '@/core/units/region'
import { formatsOf } from './formats'
import { tagOfRegion } from './regionTag'

const [plain, british, american] = [formatsOf('en'), formatsOf('en-GB'), formatsOf('en-US')]
/** A shop in America that mixes in millilitres. */
const mixed = formatsOf(
  tagOfRegion({
    english: 'en-US',
    units: { ...usualUnits['en-US'], volume: 'metric' },
    jug: usualJug.metric,
  }),
)
/** The narrow space that some versions of the formatter set before AM and PM. */
const spaced = (text: string): string => text.replace(/[\u202f\u00a0]/g, ' ')

test.each([
  [310, 'EUR', '€3.10'],
  [310, 'JPY', '¥310'],
])('%i minor units of %s', (minor, currency, text) => expect(plain.money(minor, currency)).toBe(text))

test.each([
  [12.5, '12.5 ml', '0.42 fl oz', '12.5 mL'],
  [220.4, '220 ml', '7.5 fl oz', '220 mL'],
  [1250, '1.25 l', '42.3 fl oz', '1.25 L'],
  [20_000, '20 l', '5.28 gal', '20 L'],
])('%d ml', (millilitres, metric, ounces, exception) => {
  expect(plain.volume(millilitres)).toBe(metric)
  expect(british.volume(millilitres)).toBe(metric)
  expect(american.volume(millilitres)).toBe(ounces)
  expect(mixed.volume(millilitres)).toBe(exception)
})

test.each([
  [20, 'temperature', '20 °C', '68 °F'],
  [-20, 'temperature', '-20 °C', '-4 °F'],
  [3000, 'distance', '3,000 km', '1,864 mi'],
  [2.5, 'pressure', '2.5 bar', '36 psi'],
  [120, 'torque', '120 N·m', '89 lb-ft'],
  [25, 'length', '25 mm', '0.98 in'],
  [200, 'hardness', '200 ppm', '11.7 gpg'],
] as const)('%d of %s', (stored, kind, metric, us) => {
  expect(plain.quantity(stored, kind)).toBe(metric)
  expect(american.quantity(stored, kind)).toBe(us)
})

describe('days and times', () => {
  const at = new Date(2026, 5, 3, 14, 5)
  const now = new Date(2026, 0, 10)

  it('have the day first, and the month first in America', () => {
    expect([plain, british, american].map((formats) => formats.day(at, now))).toEqual([
      '3 Jun',
      '3 Jun',
      'Jun 3',
    ])
    expect(plain.fullDay(at, 'long')).toBe('3 June 2026')
    expect(american.fullDay(at, 'long')).toBe('June 3, 2026')
    expect(plain.dayOfWeek(at, 'short')).toBe('Wed 3 Jun')
    expect(american.dayOfWeek(at, 'short')).toBe('Wed, Jun 3')
  })

  it('name the year where it is another one', () =>
    expect([plain, american].map((formats) => formats.day(at, new Date(2027, 0, 1)))).toEqual([
      '3 Jun 2026',
      'Jun 3, 2026',
    ]))

  it('count twelve hours in America', () => {
    expect(plain.timeOfDay(at)).toBe('14:05')
    expect(spaced(american.timeOfDay(at))).toBe('2:05 PM')
  })
})

test('a wall clock and a full hour are written as the region does, whatever the time zone of the machine', () => {
  const at = new Date('2026-06-10T20:05:00Z')
  expect(plain.wallClock(at, 120)).toBe('22:05')
  expect(spaced(american.wallClock(at, 120))).toBe('10:05 PM')
  expect(plain.hour(9)).toBe('09:00')
  expect(spaced(american.hour(14))).toBe('2 PM')
})

test.each([
  [450, '450 ml', '15.2 fl oz'],
  [44.36, '44.4 ml', '1.5 fl oz'],
  [10_335, '10.335 l', '2.73 gal'],
  [10_335.948581875, '10.336 l', '2 gal 93.5 fl oz'],
  [6, '6 ml', '0.2 fl oz'],
])('%d ml are poured as %s, or %s', (millilitres, metric, inAmerica) => {
  expect(plain.poured(millilitres)).toBe(metric)
  expect(american.poured(millilitres)).toBe(inAmerica)
})
