import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { displayed } from './displayed'
import { usualJug, type Jug } from './jug'
import { pourOnMarks } from './pourOnMarks'
import { readQuantity } from './readQuantity'
import { bareUnit, englishes, guessRegion, ounceSystem, usualRegion } from './region'
import { quantityKinds, storedUnit, toStored } from './unit'

describe('the region of a browser', () => {
  it.each([
    ['en-US,en;q=0.9', 'en-US'],
    ['en-GB,en-US;q=0.8', 'en-GB'],
    ['de-DE,en-US;q=0.7', 'en'],
    ['en;q=0.9,en-US', 'en-US'],
    ['en-US;q=0.1, en-GB;q=0.9', 'en-GB'],
    ['en', 'en'],
    ['en-AU', 'en'],
    ['*', 'en'],
    ['', 'en'],
    ['en-US;q=0', 'en'],
    [';;,q=1', 'en'],
  ])('%j is %s', (header, english) => expect(guessRegion(header).english).toBe(english))

  it('is international where the browser names none', () => expect(guessRegion(null).english).toBe('en'))

  it('has a unit for every kind', () => {
    for (const english of englishes) {
      const region = usualRegion(english)
      for (const kind of quantityKinds) expect(bareUnit(kind, region)).toBeTruthy()
    }
  })
})

describe('a quantity as it is shown', () => {
  it.each([
    [250, 'volume', 'en', 250, 'millilitre'],
    [2500, 'volume', 'en', 2.5, 'litre'],
    [500, 'volume', 'en-US', 16.907, 'usFluidOunce'],
    [5000, 'volume', 'en-US', 1.321, 'usGallon'],
    [35, 'temperature', 'en-US', 95, 'fahrenheit'],
    [-40, 'temperature', 'en-US', -40, 'fahrenheit'],
    [3000, 'distance', 'en-GB', 1864.11, 'mile'],
  ] as const)('%d %s in %s', (stored, kind, english, value, unit) => {
    const shown = displayed(stored, kind, usualRegion(english))
    expect(shown.unit).toBe(unit)
    expect(shown.value).toBeCloseTo(value, 2)
  })

  it('is read back as it is shown, to the last digit that is shown', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...quantityKinds),
        fc.constantFrom(...englishes),
        fc.double({ min: 0, max: 50_000, noNaN: true }),
        (kind, english, stored) => {
          const region = usualRegion(english)
          const { value, unit, maxDecimals } = displayed(stored, kind, region)
          const [whole] = [value.toFixed(maxDecimals)]
          const read = readQuantity(`${whole} ${words[unit]}`, {
            kind,
            unit: bareUnit(kind, region),
            system: ounceSystem(region),
          })
          const readings = read.kind === 'quantity' ? [read] : read.kind === 'question' ? read.choices : []
          const half = Math.abs(toStored(0.5 * 10 ** -maxDecimals, unit) - toStored(0, unit))
          expect(readings.some((one) => Math.abs(one.stored - stored) <= half * 1.001 + 1e-9)).toBe(true)
        },
      ),
      { numRuns: 500 },
    )
  })
})

const words: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.values(storedUnit).map((unit) => [unit, unit])),
  millilitre: 'ml',
  litre: 'l',
  usFluidOunce: 'fl oz',
  usGallon: 'gal',
  imperialFluidOunce: 'fl oz',
  imperialGallon: 'gal',
  litrePerMinute: 'l/min',
  usGallonPerMinute: 'gal/min',
  imperialGallonPerMinute: 'gal/min',
  millilitrePerSquareMetre: 'ml/m²',
  usFluidOuncePerSquareFoot: 'fl oz/ft²',
  imperialFluidOuncePerSquareFoot: 'fl oz/ft²',
  gramPerSquareMetre: 'g/m²',
  ouncePerSquareFoot: 'oz/ft²',
  gramPerLitre: 'g/l',
  ouncePerUsGallon: 'oz/gal',
  ouncePerImperialGallon: 'oz/gal',
  perThousandKilometres: 'per 1000 km',
  perThousandMiles: 'per 1000 mi',
  celsius: '°C',
  fahrenheit: '°F',
  kilometre: 'km',
  mile: 'mi',
  kilometrePerHour: 'km/h',
  milePerHour: 'mph',
  bar: 'bar',
  psi: 'psi',
  newtonMetre: 'N·m',
  poundFoot: 'lb-ft',
  millimetre: 'mm',
  inch: 'in',
  ppm: 'ppm',
  grainPerGallon: 'gpg',
}

const jugs: Readonly<Record<'fives' | 'tens' | 'us' | 'imperial', Jug>> = {
  fives: usualJug.metric,
  tens: { system: 'metric', stepMillilitres: 10 },
  us: usualJug.us,
  imperial: usualJug.imperial,
}

describe('a recipe on the marks of a jug', () => {
  it('keeps the strength within a tenth and makes about what was wanted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1 / 2000, max: 0.999, noNaN: true }),
        fc.double({ min: 50, max: 20_000, noNaN: true }),
        fc.constantFrom(...Object.values(jugs)),
        (fraction, total, jug) => {
          const poured = pourOnMarks(fraction, total, jug)
          const { stepMillilitres: step } = jug
          for (const side of [poured.concentrateMillilitres, poured.waterMillilitres])
            expect(Math.abs(side / step - Math.round(side / step))).toBeLessThan(0.01)
          expect(Math.abs(poured.realFraction / fraction - 1)).toBeLessThanOrEqual(0.1 + 1e-9)
          expect(poured.concentrateMillilitres).toBeGreaterThan(0)
          const made = poured.concentrateMillilitres + poured.waterMillilitres
          expect(poured.totalMillilitres).toBeCloseTo(made, 1)
          expect(made).toBeGreaterThanOrEqual(total - 1.01 * step)
          // As much as one step of concentrate makes can be more than was wanted.
          expect(made).toBeLessThanOrEqual(total + (12 * step) / fraction)
        },
      ),
      { numRuns: 1000 },
    )
  })

  it.each([
    [0.1, 500, 'tens', 50, 450],
    [1 / 11, 550, 'fives', 50, 500],
    [1 / 11, 500, 'fives', 45, 455],
    [1 / 5, 800, 'fives', 160, 640],
    [1 / 257, 10_040, 'fives', 40, 10_000],
    // Of 10 l at 1:256 there are 1.3 oz: 1.5 oz and a little more water.
    [1 / 257, 10_000, 'us', 44.36, 10_321.16],
    [1 / 17, 503, 'us', 29.57, 473.18],
    [1, 100, 'tens', 100, 0],
    // A neat product is not rounded up to a mark.
    [1, 6, 'us', 6, 0],
  ] as const)('%d of %d ml in %s', (fraction, total, name, concentrate, water) => {
    const poured = pourOnMarks(fraction, total, jugs[name])
    expect(poured.concentrateMillilitres).toBeCloseTo(concentrate, 1)
    expect(poured.waterMillilitres).toBeCloseTo(water, 1)
  })
})
