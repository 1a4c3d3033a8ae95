import { exp } from '@/core/quantity/portableMath'
import type { Wear } from './wear'
import type { LayerValues } from './unknowns'

/** What the values of a layer multiply its wear with. */
export interface Wearing {
  readonly faster: number
  readonly since: number
  readonly winter: number
}

export const wearingOf = ({ sooner, changed, harsher }: LayerValues): Wearing => ({
  faster: exp(sooner),
  since: exp(changed),
  winter: exp(harsher),
})

/** Share of a layer's life that is used. */
export function usedBy(wear: Wear, { faster, since, winter }: Wearing): number {
  const before = wear.worn + (winter - 1) * wear.wintered
  const later = since * (wear.wornSince + (winter - 1) * wear.winteredSince)
  return faster * (before + later) + wear.washed
}

/** The used share, and how it grows with the logarithms of what multiplies it. */
export interface UsedSlopes {
  readonly used: number
  readonly sooner: number
  readonly changed: number
  readonly harsher: number
}

export function usedSlopes(wear: Wear, { faster, since, winter }: Wearing): UsedSlopes {
  const before = wear.worn + (winter - 1) * wear.wintered
  const later = since * (wear.wornSince + (winter - 1) * wear.winteredSince)
  const sooner = faster * (before + later)
  return {
    used: sooner + wear.washed,
    sooner,
    changed: faster * later,
    harsher: faster * winter * (wear.wintered + since * wear.winteredSince),
  }
}
