import { millilitresPerUnit } from '@/core/quantity/volume'
import { roundToStep } from '@/core/quantity/rounding'
import type { VolumeSystem } from './region'

/** Steps of the marks on a measuring jug. */
export const jugMarks = {
  millilitres5: { system: 'metric', stepMillilitres: 5 },
  millilitres10: { system: 'metric', stepMillilitres: 10 },
  halfUsOunces: { system: 'us', stepMillilitres: millilitresPerUnit.us.ounce / 2 },
  halfImperialOunces: { system: 'imperial', stepMillilitres: millilitresPerUnit.imperial.ounce / 2 },
} as const satisfies Record<string, { readonly system: VolumeSystem; readonly stepMillilitres: number }>

export type JugMarks = keyof typeof jugMarks

/** What is poured, both sides on a mark. */
export interface PouredOnMarks {
  readonly concentrateMillilitres: number
  readonly waterMillilitres: number
  /** Share of concentrate in what is poured. */
  readonly realFraction: number
}

/** How far the strength of what is poured may be off, as a share of the wanted one. */
const maxStrengthError = 0.1

/**
 * Concentrate and water on marks of the jug, for at least the wanted total. The smallest amounts whose strength is within a tenth of the
 * wanted one; where the wanted total is too small for that, a larger one.
 *
 * @param fraction share of concentrate, 0 < fraction ≤ 1
 * @param totalMillilitres wanted mix, > 0
 */
export function pourOnMarks(fraction: number, totalMillilitres: number, marks: JugMarks): PouredOnMarks {
  const { stepMillilitres: step } = jugMarks[marks]
  const steps = (count: number): number => roundToStep(count * step, step / 1024)
  if (fraction === 1) {
    const all = Math.max(1, Math.ceil(totalMillilitres / step - 1e-9))
    return { concentrateMillilitres: steps(all), waterMillilitres: 0, realFraction: 1 }
  }
  for (let concentrate = Math.max(1, Math.round((fraction * totalMillilitres) / step)); ; concentrate += 1) {
    const water = Math.max(1, Math.round((concentrate * (1 - fraction)) / fraction))
    const realFraction = concentrate / (concentrate + water)
    if (Math.abs(realFraction / fraction - 1) <= maxStrengthError)
      return {
        concentrateMillilitres: steps(concentrate),
        waterMillilitres: steps(water),
        realFraction,
      }
  }
}
