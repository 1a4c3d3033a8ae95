import { exp } from '@/core/quantity/steady'
import type { Exposure } from './exposure'
import type { LayerValues } from './unknowns'

/** Driving that changed is looked for since then, days before now. */
export const changedDays = 200

/** What has worked at a layer up to a day, before driving may have changed and since. */
export interface Wear {
  readonly worn: number
  readonly wintered: number
  readonly wornSince: number
  readonly winteredSince: number
  readonly washed: number
}

export function wearUpTo(exposure: Exposure, day: number): Wear {
  const turn = Math.min(day, Math.max(0, exposure.today - changedDays))
  const [worn, wintered] = [exposure.worn(turn), exposure.wintered(turn)]
  return {
    worn,
    wintered,
    wornSince: exposure.worn(day) - worn,
    winteredSince: exposure.wintered(day) - wintered,
    washed: exposure.washed(day),
  }
}

/** Share of a layer's life that is used, with some values of what is not known. */
export function usedBy(wear: Wear, { sooner, changed, harsher }: LayerValues): number {
  const winters = exp(harsher) - 1
  const before = wear.worn + winters * wear.wintered
  const since = wear.wornSince + winters * wear.winteredSince
  return exp(sooner) * (before + exp(changed) * since) + wear.washed
}
