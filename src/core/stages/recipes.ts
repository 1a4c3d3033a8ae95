import { mixingRecipe, type MixingRecipe } from '@/core/dilution/recipe'

/** Steps in which a mix is made ready, ml: small amounts to ten, larger ones to fifty. */
const stepOf = (millilitres: number): number => (millilitres < 500 ? 10 : 50)

const roundedUp = (millilitres: number): number => {
  const step = stepOf(millilitres)
  return Math.max(10, Math.ceil(millilitres / step - 1e-9) * step)
}

/**
 * The least workable recipe for an amount: raised to what the person's measure can do. What is used neat comes straight
 * from its bottle, and is not rounded up to another.
 */
export function workableRecipe(fraction: number, wantedMillilitres: number, measure: number): MixingRecipe {
  const wanted = fraction === 1 ? Math.max(1, Math.ceil(wantedMillilitres)) : roundedUp(wantedMillilitres)
  const recipe = mixingRecipe(fraction, wanted, measure)
  if (recipe.ok) return recipe.value
  const least = mixingRecipe(fraction, roundedUp(measure / fraction), measure)
  if (!least.ok) throw new Error(`No workable recipe for ${fraction}`)
  return least.value
}
