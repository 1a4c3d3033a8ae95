import type { ProtectionWear } from '@/core/chemistry/family'
import { estimate, type OwnEstimates } from '@/core/estimates/houseEstimates'
import type { ProtectionKind } from '@/core/protection/kinds'
import { activity, type Use } from './removal'

const baseOf = (wear: ProtectionWear, own: OwnEstimates): number => {
  switch (wear) {
    case 'none':
      return 0
    case 'hardly':
      return estimate('wearHardly', own)
    case 'some':
      return estimate('wearSome', own)
    case 'strips':
      return estimate('wearStrips', own)
  }
}

const factorOf = (kind: ProtectionKind, own: OwnEstimates): number =>
  kind === 'ceramicCoating'
    ? estimate('wearOnCoating', own)
    : kind === 'wheelWax' || kind === 'sprayWax' || kind === 'quickDetailer'
      ? estimate('wearOnWax', own)
      : 1

/** Share of the life that one use takes off each layer, the worst of them; 0 to 1. House estimate. */
export function wearShare(
  wear: ProtectionWear,
  use: Use,
  layers: readonly ProtectionKind[],
  own: OwnEstimates,
): number {
  const strength = use.fraction / use.product.strength.to
  const base = baseOf(wear, own) * strength * activity(use.dwellSeconds, use.product)
  return layers.reduce((worst, kind) => Math.max(worst, Math.min(1, base * factorOf(kind, own))), 0)
}
