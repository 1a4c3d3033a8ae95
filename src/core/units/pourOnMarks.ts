import { roundToStep } from '@/core/quantity/rounding'
import type { Jug } from './jug'

/** What is poured, both sides on a mark. */
export interface PouredOnMarks {
  readonly concentrateMillilitres: number
  readonly waterMillilitres: number
  /** Concentrate plus water. */
  readonly totalMillilitres: number
  /** Share of concentrate in what is poured. */
  readonly realFraction: number
}

/** How far the strength of what is poured may be off, as a share of the wanted one. */
const maxStrengthError = 0.1
/** Binary tails count as nothing. */
const tail = 1e-9

const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high)

/** Marks of water for so many marks of concentrate: as many as the wanted total leaves, within what the strength allows; null: none. */
function waterMarks(concentrate: number, fraction: number, totalMarks: number): number | null {
  const waterFor = (strength: number): number => concentrate / strength - concentrate
  const least = Math.max(1, Math.ceil(waterFor(Math.min(1, fraction * (1 + maxStrengthError))) - tail))
  const most = Math.floor(waterFor(fraction * (1 - maxStrengthError)) + tail)
  if (least > most) return null
  return clamp(Math.round(totalMarks - concentrate), least, most)
}

const poured = (concentrate: number, water: number, { stepMillilitres: step }: Jug): PouredOnMarks => ({
  concentrateMillilitres: roundToStep(concentrate * step, step / 1024),
  waterMillilitres: roundToStep(water * step, step / 1024),
  totalMillilitres: roundToStep((concentrate + water) * step, step / 1024),
  realFraction: concentrate / (concentrate + water),
})

/**
 * Concentrate and water on marks of the jug, no more than a mark below the wanted total. The strength is within a tenth of the wanted one;
 * where the wanted total is too small for that, a larger total. A neat product comes straight from its bottle and is measured as it is
 * wanted.
 *
 * @param fraction share of concentrate, 0 < fraction ≤ 1
 * @param totalMillilitres wanted mix, > 0
 */
export function pourOnMarks(fraction: number, totalMillilitres: number, jug: Jug): PouredOnMarks {
  if (fraction === 1)
    return {
      concentrateMillilitres: totalMillilitres,
      waterMillilitres: 0,
      totalMillilitres,
      realFraction: 1,
    }
  const totalMarks = totalMillilitres / jug.stepMillilitres
  const errorOf = (concentrate: number, water: number): number =>
    Math.abs((concentrate + water) / totalMarks - 1) +
    Math.abs(concentrate / (concentrate + water) / fraction - 1)
  const least = Math.max(1, Math.floor(fraction * totalMarks + tail))
  let best: { readonly concentrate: number; readonly water: number } | null = null
  // Where the strength allows no whole mark of water, more concentrate has one in the end.
  for (let concentrate = least; best === null || concentrate <= least + 1; concentrate += 1) {
    const water = waterMarks(concentrate, fraction, totalMarks)
    if (water === null || concentrate + water < totalMarks - 1) continue
    if (!best || errorOf(concentrate, water) < errorOf(best.concentrate, best.water))
      best = { concentrate, water }
  }
  return poured(best.concentrate, best.water, jug)
}
