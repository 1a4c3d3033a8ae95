import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foams, type Foam } from '@/core/run/answer'
import { foamAmounts, hasStalled, roundsMore } from './foamRounds'

const brownFirst = [...foams].reverse()

describe('how many rounds more', () => {
  it.each<[readonly Foam[], number | null]>([
    [['white'], 0],
    [['brown', 'cream'], 0],
    [['brown'], null],
    [['brown', 'tan'], 1],
    [['tan', 'tan'], null],
    [['brown', 'brown', 'tan'], 2],
    [['tan', 'brown'], null],
  ])('after %j: %j', (seen, more) => {
    expect(roundsMore(seen)).toBe(more)
  })

  it('are what a geometric fall to cream takes', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...foams), { minLength: 2, maxLength: 5 }), (seen) => {
        const more = roundsMore(seen)
        const [first, last] = [seen[0] as Foam, seen.at(-1) as Foam]
        if (more === null) return
        if (more === 0) {
          expect(foamAmounts[last]).toBeLessThanOrEqual(foamAmounts.cream)
          return
        }
        const ratio = (foamAmounts[last] / foamAmounts[first]) ** (1 / (seen.length - 1))
        expect(foamAmounts[last] * ratio ** more).toBeLessThanOrEqual(foamAmounts.cream * 1.0001)
        if (more < 6) expect(foamAmounts[last] * ratio ** (more - 1)).toBeGreaterThan(foamAmounts.cream)
      }),
    )
  })

  it('a foam that does not fall has stalled, and a falling one has not', () => {
    expect(hasStalled(['brown', 'brown'])).toBe(true)
    expect(hasStalled(['tan', 'brown'])).toBe(true)
    expect(hasStalled(brownFirst)).toBe(false)
    expect(hasStalled(['cream', 'cream'])).toBe(false)
    expect(hasStalled(['brown'])).toBe(false)
  })
})
