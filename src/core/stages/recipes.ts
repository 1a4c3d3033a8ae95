import { waterPartsOf } from '@/core/dilution/mix'
import type { MixingRecipe } from '@/core/dilution/recipe'
import { roundToStep } from '@/core/quantity/rounding'

/** From here on it is a bucket: filled with water to a mark, then the dose, ml. */
const bucketMillilitres = 5000
/** Marks of a bucket, ml. */
const bucketStep = 50
/** So far from the label's strength a dose in a bucket may be. */
const bucketTolerance = 0.1

const stepsUp = (millilitres: number, step: number, slack = 1e-9): number =>
  Math.ceil(millilitres / step - slack) * step

/** What is used neat comes straight from its bottle, and is not rounded up to another. */
const neatRecipe = (wantedMillilitres: number): MixingRecipe =>
  recipeOf(Math.max(1, Math.ceil(wantedMillilitres)), 0)

/**
 * The least recipe for an amount that a jug can measure: concentrate in whole marks, water so many times that the strength is the
 * label's (40 ml + 360 ml for 1:9). A bucket is filled with water first, and gets the nearest dose in whole marks.
 *
 * @param fraction share of concentrate, 0 < fraction ≤ 1
 * @param wantedMillilitres of mix; the recipe makes at least so much
 * @param measure finest step the person can measure, ml
 */
export function workableRecipe(fraction: number, wantedMillilitres: number, measure: number): MixingRecipe {
  if (fraction === 1) return neatRecipe(wantedMillilitres)
  const waterParts = waterPartsOf(fraction)
  const filled = bucket(waterParts, wantedMillilitres, measure)
  if (filled) return filled
  // Water in whole millilitres must not cost another mark of concentrate.
  const concentrate = Math.max(measure, stepsUp(wantedMillilitres * fraction, measure, 0.1))
  const water = waterParts * concentrate
  return recipeOf(concentrate, Number(water.toFixed(water < 100 ? 1 : 0)))
}

/** Water to a mark of the bucket and the nearest dose in it; null where that is no bucket, or another strength. */
function bucket(waterParts: number, wantedMillilitres: number, measure: number): MixingRecipe | null {
  if (wantedMillilitres < bucketMillilitres) return null
  const water = stepsUp(wantedMillilitres, bucketStep)
  const dose = roundToStep(water / waterParts, measure)
  const isNear = Math.abs((dose * waterParts) / water - 1) <= bucketTolerance
  return isNear ? recipeOf(dose, water) : null
}

const recipeOf = (concentrateMillilitres: number, waterMillilitres: number): MixingRecipe => {
  const totalMillilitres = concentrateMillilitres + waterMillilitres
  return {
    concentrateMillilitres,
    waterMillilitres,
    totalMillilitres,
    realFraction: concentrateMillilitres / totalMillilitres,
  }
}
