import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gapFor, type Span } from './spans'

const spans: readonly Span[] = [
  { from: 10, to: 20 },
  { from: 25, to: 40 },
]

describe('the first gap', () => {
  it.each([
    ['before the first', 0, 10, { start: 0, until: 10 }],
    ['too small before the first', 0, 11, { start: 40, until: Infinity }],
    ['between two', 12, 5, { start: 20, until: 25 }],
    ['after all', 12, 6, { start: 40, until: Infinity }],
    ['later than all', 50, 6, { start: 50, until: Infinity }],
    ['in the middle of one', 30, 1, { start: 40, until: Infinity }],
  ])('%s', (_, earliest, seconds, gap) => expect(gapFor(spans, earliest, seconds)).toEqual(gap))

  it('is at once where nothing is taken', () => {
    expect(gapFor(undefined, 7, 100)).toEqual({ start: 7, until: Infinity })
  })

  it('is free, not before its time, and no earlier second would do', () => {
    const anySpans = fc
      .array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 })), { maxLength: 6 })
      .map((list) => {
        let at = 0
        return list.map(([gap, length]) => {
          const from = at + gap
          at = from + length
          return { from, to: at }
        })
      })
    fc.assert(
      fc.property(anySpans, fc.nat(60), fc.integer({ min: 1, max: 12 }), (taken, earliest, seconds) => {
        const isFree = (start: number) =>
          taken.every(({ from, to }) => start + seconds <= from || start >= to)
        const { start, until } = gapFor(taken, earliest, seconds)
        expect(start).toBeGreaterThanOrEqual(earliest)
        expect(isFree(start)).toBe(true)
        expect(until).toBeGreaterThanOrEqual(start + seconds)
        for (let at = earliest; at < start; at += 1) expect(isFree(at)).toBe(false)
      }),
    )
  })
})
