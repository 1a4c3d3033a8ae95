import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fractionFromRatio } from '@/core/dilution/mix'
import { sayDilution } from '@/core/dilution/writeDilution'
import { workableRecipe } from './recipes'

describe('a recipe for the jug', () => {
  it.each([
    ['1:9', 9, 400, 40, 360],
    ['1:10', 10, 160, 15, 150],
    ['1:4', 4, 790, 160, 640],
    ['1:500 in a bucket', 500, 10_000, 20, 10_000],
    ['1:1000 in a bucket', 1000, 10_000, 10, 10_000],
    ['1:256 in a bucket, to its marks', 256, 10_000, 40, 10_000],
    ['between two marks, in a bucket', 632, 10_000, 15, 10_000],
    ['1:1000 in less than its least dose', 1000, 8000, 10, 10_000],
  ])('%s', (_, parts, wanted, concentrate, water) => {
    const recipe = workableRecipe(fractionFromRatio(parts), wanted, 5)
    expect([recipe.concentrateMillilitres, recipe.waterMillilitres]).toEqual([concentrate, water])
  })

  it('has whole marks of concentrate, makes enough, and is said as the label says it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 20, max: 4900 }),
        fc.constantFrom(1, 5, 10),
        (parts, wanted, measure) => {
          const recipe = workableRecipe(fractionFromRatio(parts), wanted, measure)
          expect(recipe.concentrateMillilitres % measure).toBe(0)
          expect(recipe.totalMillilitres).toBeGreaterThanOrEqual(wanted - 0.11 * measure * (parts + 1))
          expect(recipe.waterMillilitres).toBeCloseTo(recipe.concentrateMillilitres * parts, 6)
          expect(sayDilution(recipe.realFraction)).toBe(sayDilution(fractionFromRatio(parts)))
        },
      ),
    )
  })

  it('of parts together takes what the parts take', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.004, max: 0.5, noNaN: true }),
        fc.array(fc.integer({ min: 20, max: 800 }), { minLength: 1, maxLength: 3 }),
        (fraction, wanted) => {
          const parts = wanted.map((millilitres) => workableRecipe(fraction, millilitres, 5))
          const sum = (of: 'totalMillilitres' | 'concentrateMillilitres') =>
            parts.reduce((all, part) => all + part[of], 0)
          if (sum('totalMillilitres') >= 5000) return
          expect(workableRecipe(fraction, sum('totalMillilitres'), 5).concentrateMillilitres).toBe(
            sum('concentrateMillilitres'),
          )
        },
      ),
    )
  })

  it('is near the label in a bucket, too', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 2000 }),
        fc.integer({ min: 5000, max: 15_000 }),
        (parts, wanted) => {
          const recipe = workableRecipe(fractionFromRatio(parts), wanted, 5)
          expect(recipe.totalMillilitres).toBeGreaterThanOrEqual(wanted)
          expect(Math.abs(recipe.realFraction / fractionFromRatio(parts) - 1)).toBeLessThanOrEqual(0.21)
        },
      ),
    )
  })
})
