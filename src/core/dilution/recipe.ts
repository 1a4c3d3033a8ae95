import { message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import { roundToStep } from '@/core/quantity/rounding'

/** What to pour, with the strength that really comes of it. */
export interface MixingRecipe {
  readonly concentrateMillilitres: number
  readonly waterMillilitres: number
  /** Concentrate plus water, exactly. */
  readonly totalMillilitres: number
  /** Share of concentrate after rounding to the smallest measure. */
  readonly realFraction: number
}

/**
 * Amounts for a wanted total: concentrate c·V, water the rest.
 * Concentrate is rounded to the person's smallest measure; water fills up to the total.
 *
 * @param fraction share of concentrate, 0 < fraction ≤ 1
 * @param totalMillilitres wanted mix, > 0
 * @param smallestMeasureMillilitres finest step the person can measure, > 0
 */
export function mixingRecipe(
  fraction: number,
  totalMillilitres: number,
  smallestMeasureMillilitres: number,
): Result<MixingRecipe> {
  const concentrate =
    fraction === 1
      ? totalMillilitres
      : Math.min(roundToStep(fraction * totalMillilitres, smallestMeasureMillilitres), totalMillilitres)
  if (concentrate <= 0) {
    const least = Math.ceil(smallestMeasureMillilitres / 2 / fraction)
    return fail({
      path: 'totalMillilitres',
      found: message('measures.dilution.volume', { volume: { millilitres: totalMillilitres } }),
      fix: message('measures.dilution.tooLittle', {
        least,
        measure: { millilitres: smallestMeasureMillilitres },
      }),
    })
  }
  return succeed({
    concentrateMillilitres: concentrate,
    waterMillilitres: Number((totalMillilitres - concentrate).toFixed(9)),
    totalMillilitres,
    realFraction: concentrate / totalMillilitres,
  })
}
