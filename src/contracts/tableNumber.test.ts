import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { decimalMarkOf, readTableNumber, writeTableNumber } from './tableNumber'

describe('a number of a table', () => {
  it.each([
    ['12,9', 12.9],
    ['1,290.50', 1290.5],
    ['1.290,50', 1290.5],
    ['1.234.567', 1234567],
    ["5'000", 5000],
    ['7', 7],
    ['0.125', 0.125],
    ['-2,5', -2.5],
    ['1234.567', 1234.567],
  ])('reads %s as %d', (text, value) =>
    expect(readTableNumber(text, null)).toEqual({ kind: 'number', value }),
  )

  it.each(['1.290', '1,290', '12,345'])('asks what %s is, unless the table says', (text) => {
    expect(readTableNumber(text, null).kind).toBe('unclear')
    for (const mark of [',', '.'] as const) expect(readTableNumber(text, mark).kind).toBe('number')
    expect(readTableNumber('1.290', ',')).toEqual({ kind: 'number', value: 1290 })
    expect(readTableNumber('1.290', '.')).toEqual({ kind: 'number', value: 1.29 })
  })

  it('comes back as it was written, whatever stands beside it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9_999_999, max: 99_999_999 }),
        fc.constantFrom(',', '.', null),
        (thousandths, mark) => {
          const value = thousandths / 1000
          expect(readTableNumber(writeTableNumber(value), mark)).toEqual({ kind: 'number', value })
        },
      ),
    )
  })

  it.each([
    [['12,5', '1.290'], ','],
    [['12.5', '1,290'], '.'],
    [['1.290', '3'], null],
    [['12,5', '12.5'], null],
    [['1.234.567'], ','],
  ])('%j is of a table with the mark %s', (cells, mark) => expect(decimalMarkOf(cells)).toBe(mark))
})
