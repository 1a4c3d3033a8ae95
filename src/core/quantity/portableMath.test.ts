import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cos, exp, log, log10, portable, power, sin } from './portableMath'

const any = fc.double({ min: -1e12, max: 1e12, noNaN: true })

describe('what engines agree on', () => {
  it('is within a millionth of a millionth of the value', () => {
    fc.assert(
      fc.property(any, (value) => {
        expect(Math.abs(portable(value) - value)).toBeLessThanOrEqual(Math.abs(value) * 1e-12)
      }),
    )
  })

  it('is the same once more', () => {
    fc.assert(
      fc.property(any, (value) => {
        expect(portable(portable(value))).toBe(portable(value))
      }),
    )
  })

  it('keeps what is short: whole numbers, halves, powers of two', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), (value) => {
        expect(portable(value / 2)).toBe(value / 2)
      }),
    )
    for (let exponent = 0; exponent <= 31; exponent += 1) expect(power(2, exponent)).toBe(2 ** exponent)
  })

  it('does not tell apart what differs in the last digit', () => {
    const nextTo = (value: number): number => {
      const bits = new BigInt64Array(new Float64Array([value]).buffer)
      bits[0] = (bits[0] as bigint) + 1n
      return new Float64Array(bits.buffer)[0] as number
    }
    const values = Array.from({ length: 5000 }, (_, at) => 0.37 + at * 0.0713)
    // A boundary of the rounding lies between them once in some thousands of times.
    expect(values.filter((value) => portable(value) !== portable(nextTo(value))).length).toBeLessThan(8)
  })

  it.each([0, -0, Infinity, -Infinity, Number.MAX_VALUE])('leaves %d alone', (value) =>
    expect(portable(value)).toBe(value),
  )

  it('holds for the functions', () => {
    expect(exp(1)).toBeCloseTo(Math.E, 11)
    expect(log(Math.E)).toBeCloseTo(1, 11)
    expect(power(2, 0.5)).toBeCloseTo(Math.SQRT2, 11)
    expect(sin(Math.PI / 6)).toBeCloseTo(0.5, 11)
    expect(cos(Math.PI / 3)).toBeCloseTo(0.5, 11)
    expect(log(-1)).toBeNaN()
    for (let exponent = -9; exponent <= 9; exponent += 1)
      expect(Math.floor(log10(Number(`1e${exponent}`)))).toBe(exponent)
  })
})
