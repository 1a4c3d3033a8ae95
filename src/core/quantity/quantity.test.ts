import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { costMinor } from './money'
import { roundToStep, writeSignificant } from './rounding'

it('cost follows the share of the pack, in whole minor units', () => {
  expect(costMinor(50, 500, 1290)).toBe(129)
  expect(costMinor(1, 3000, 1000)).toBe(0)
  expect(costMinor(2, 1000, 750)).toBe(2)
})

describe('rounding', () => {
  it('keeps to the step within half of it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e6, noNaN: true }),
        fc.constantFrom(0.1, 0.5, 1, 5, 25),
        (value, step) => {
          expect(Math.abs(roundToStep(value, step) - value)).toBeLessThanOrEqual(step / 2 + 1e-6)
        },
      ),
    )
    expect(roundToStep(0.3, 0.1)).toBe(0.3)
  })

  it.each([
    [0, '0'],
    [256, '256'],
    [666.6667, '666.7'],
    [0.001234567, '0.001235'],
    [12345.678, '12346'],
  ])('writes %d as %s', (value, text) => {
    expect(writeSignificant(value)).toBe(text)
  })
})
