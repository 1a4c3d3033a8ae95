import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { englishes, usualRegion } from '@/core/units/region'
import { quantityKinds } from '@/core/units/unit'
import { fieldOf, shownText, storedText } from './quantityText'

const [plain, american] = [usualRegion('en'), usualRegion('en-US')]

describe('a field for a quantity', () => {
  it.each([
    ['500', 'volume', '500', '16.91'],
    ['20', 'temperature', '20', '68'],
    ['2.5', 'pressure', '2.5', '36.26'],
    ['', 'volume', '', ''],
    ['much', 'volume', 'much', 'much'],
    ['? 1,000', 'volume', '1,000', '1,000'],
    ['12,5', 'volume', '12,5', '0.4227'],
  ] as const)('that holds %j of %s shows %j, or %j in America', (stored, kind, metric, us) => {
    expect(shownText(stored, kind, plain)).toBe(metric)
    expect(shownText(stored, kind, american)).toBe(us)
  })

  it.each([
    ['16 oz', 'volume', american, '473.176473'],
    ['16', 'volume', american, '473.176473'],
    ['16', 'volume', plain, '16'],
    ['1 l', 'volume', american, '1000'],
    ['95', 'temperature', american, '35'],
    ['1,000', 'volume', plain, '? 1,000'],
    ['much', 'volume', plain, 'much'],
    ['', 'volume', plain, ''],
  ] as const)('in which %j of %s is typed keeps it stored', (typed, kind, region, stored) =>
    expect(storedText(typed, fieldOf(kind, region)).stored).toBe(stored),
  )

  it('never keeps something that may be another number', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[\d.,' -]{0,9}( ?(ml|oz|gal|l))?$/),
        fc.constantFrom(...englishes),
        (typed, english) => {
          const { stored, reading } = storedText(typed, fieldOf('volume', usualRegion(english)))
          const asNumber = stored.trim() === '' ? Number.NaN : Number(stored.replace(',', '.'))
          if (reading.kind === 'quantity') expect(asNumber).toBeCloseTo(reading.stored, 5)
          else expect(Number.isNaN(asNumber)).toBe(true)
        },
      ),
      { numRuns: 1000 },
    )
  })

  it('reads what it shows as what it holds, to four digits', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...quantityKinds),
        fc.constantFrom(...englishes),
        fc.integer({ min: 1, max: 99_999 }),
        (kind, english, value) => {
          const region = usualRegion(english)
          const { reading } = storedText(shownText(String(value), kind, region), fieldOf(kind, region))
          const readings =
            reading.kind === 'quantity' ? [reading] : reading.kind === 'question' ? reading.choices : []
          expect(readings.some(({ stored }) => Math.abs(stored / value - 1) < 0.02)).toBe(true)
        },
      ),
      { numRuns: 500 },
    )
  })
})
