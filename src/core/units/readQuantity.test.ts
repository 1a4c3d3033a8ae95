import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readNumber } from './readNumber'
import { readQuantity, type QuantityField } from './readQuantity'
import { fromStored, kindOfUnit, storedUnit, toStored, unitNames } from './unit'

const volume: QuantityField = { kind: 'volume', unit: 'millilitre', system: null }
const usVolume: QuantityField = { kind: 'volume', unit: 'usFluidOunce', system: 'us' }
const air: QuantityField = {
  kind: 'temperature',
  unit: 'celsius',
  system: null,
  usual: [-25, 50],
  others: ['fahrenheit'],
}

describe('a number as it is typed', () => {
  it.each([
    ['1,5', 1.5],
    ['1.5', 1.5],
    ['.5', 0.5],
    ['3 000', 3000],
    ['3 000 000', 3_000_000],
    ["3'000", 3000],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1,234,567', 1_234_567],
    ['0,250', 0.25],
    ['1/2', 0.5],
    ['1 1/2', 1.5],
    ['1½', 1.5],
    ['½', 0.5],
    ['-4', -4],
    ['−4', -4],
    ['a quarter', 0.25],
  ])('%s is %d', (text, value) => expect(readNumber(text)).toEqual({ kind: 'number', value }))

  it.each([
    ['1,000', [1000, 1]],
    ['1.000', [1000, 1]],
    ['12,500', [12_500, 12.5]],
  ])('%s may be either of %j', (text, values) => expect(readNumber(text)).toEqual({ kind: 'either', values }))

  it.each(['', 'x', '1,2,3', '1/0', '1..5', '--4', '1,23,456'])('%j is none', (text) =>
    expect(readNumber(text)).toEqual({ kind: 'none' }),
  )
})

describe('a quantity as it is typed', () => {
  it.each([
    ['250', volume, 250, 'millilitre'],
    ['2 L', volume, 2000, 'litre'],
    ['0,5 l', volume, 500, 'litre'],
    ['500ml', volume, 500, 'millilitre'],
    ['16oz', usVolume, 473.176473, 'usFluidOunce'],
    ['16 fl oz', usVolume, 473.176473, 'usFluidOunce'],
    ['16', usVolume, 473.176473, 'usFluidOunce'],
    ['1/2 gal', usVolume, 1892.705892, 'usGallon'],
    ['1½ gallons', usVolume, 5678.117676, 'usGallon'],
    ['a quart', usVolume, 946.352946, 'usQuart'],
    ['half a gallon', usVolume, 1892.705892, 'usGallon'],
    ['1 gal 16 oz', usVolume, 4258.588257, 'usGallon'],
    ['1 imperial gallon', usVolume, 4546.09, 'imperialGallon'],
    ['2 us pints', volume, 946.352946, 'usPint'],
    ['95 °F', air, 35, 'fahrenheit'],
    ['95F', air, 35, 'fahrenheit'],
    ['-4 °F', air, -20, 'fahrenheit'],
    ['20', air, 20, 'celsius'],
    ['3 000 km', { kind: 'distance', unit: 'mile', system: 'us' }, 3000, 'kilometre'],
    ['10 mi', { kind: 'distance', unit: 'kilometre', system: null }, 16.09344, 'mile'],
    ['40 psi', { kind: 'pressure', unit: 'bar', system: null }, 2.757902916, 'psi'],
    ['90 lb-ft', { kind: 'torque', unit: 'newtonMetre', system: null }, 122.023615, 'poundFoot'],
    ['90 ft lbs', { kind: 'torque', unit: 'newtonMetre', system: null }, 122.023615, 'poundFoot'],
    ['120 N·m', { kind: 'torque', unit: 'poundFoot', system: 'us' }, 120, 'newtonMetre'],
    ['120 Nm', { kind: 'torque', unit: 'poundFoot', system: 'us' }, 120, 'newtonMetre'],
    ['3/4"', { kind: 'length', unit: 'millimetre', system: null }, 19.05, 'inch'],
    ['10 mph', { kind: 'speed', unit: 'kilometrePerHour', system: null }, 16.09344, 'milePerHour'],
    ['5 m/s', { kind: 'speed', unit: 'kilometrePerHour', system: null }, 18, 'metrePerSecond'],
    ['10 °dH', { kind: 'hardness', unit: 'ppm', system: null }, 178.48, 'germanDegree'],
    ['20 °fH', { kind: 'hardness', unit: 'ppm', system: null }, 200, 'frenchDegree'],
    ['7 gpg', { kind: 'hardness', unit: 'ppm', system: null }, 119.826, 'grainPerGallon'],
  ] satisfies [string, QuantityField, number, string][])('%s', (text, field, stored, unit) => {
    const read = readQuantity(text, field)
    expect(read).toMatchObject({ kind: 'quantity', unit })
    expect(read.kind === 'quantity' ? read.stored : Number.NaN).toBeCloseTo(stored, 5)
  })

  it('asks which ounces are meant where only the country tells', () => {
    const read = readQuantity('16 oz', volume)
    expect(read.kind === 'question' ? read.choices.map(({ unit }) => unit) : []).toEqual([
      'usFluidOunce',
      'imperialFluidOunce',
    ])
  })

  it('asks whether a comma or a point before three digits parts thousands', () => {
    for (const text of ['1,000', '1.000', '1,000 ml', '1.000 ml']) {
      const read = readQuantity(text, volume)
      expect(read.kind === 'question' ? read.choices.map(({ stored }) => stored) : [], text).toEqual([
        1000, 1,
      ])
    }
  })

  it('asks about a bare number that is usual only in another unit', () => {
    const read = readQuantity('95', air)
    expect(
      read.kind === 'question' ? read.choices.map(({ unit, stored }) => [unit, Math.round(stored)]) : [],
    ).toEqual([
      ['celsius', 95],
      ['fahrenheit', 35],
    ])
    expect(readQuantity('500', air)).toMatchObject({ kind: 'quantity', stored: 500 })
  })

  it.each([
    ['', 'empty'],
    ['much', 'number'],
    ['16 glasses', 'unit'],
    ['16 psi', 'otherKind'],
    ['oz', 'number'],
    ['16 oz 5 psi', 'unit'],
  ] as const)('%j is a problem: %s', (text, problem) =>
    expect(readQuantity(text, volume)).toEqual({ kind: 'problem', problem }),
  )

  it('never throws, whatever was typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        readQuantity(text, volume)
        readQuantity(text, air)
      }),
      { numRuns: 500 },
    )
  })
})

describe('units', () => {
  it('lose nothing on the way there and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...unitNames),
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        (unit, value) => {
          const back = fromStored(toStored(value, unit), unit)
          expect(Math.abs(back - value)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(value), 1e3))
        },
      ),
    )
  })

  it('are kept in a unit that is itself', () => {
    for (const unit of Object.values(storedUnit)) expect(toStored(7, unit)).toBe(7)
    for (const unit of unitNames) expect(storedUnit[kindOfUnit(unit)]).toBeDefined()
  })
})
