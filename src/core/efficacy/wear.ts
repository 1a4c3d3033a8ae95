import type { ProtectionWear } from '@/core/chemistry/family'
import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { ProtectionKind } from '@/core/protection/kinds'
import { activity, type Use } from './removal'

const baseOf = (wear: ProtectionWear, overrides: EstimateOverrides): number => {
  switch (wear) {
    case 'none':
      return 0
    case 'hardly':
      return estimate('wearHardly', overrides)
    case 'some':
      return estimate('wearSome', overrides)
    case 'strips':
      return estimate('wearStrips', overrides)
  }
}

const factorOf = (kind: ProtectionKind, overrides: EstimateOverrides): number =>
  kind === 'ceramicCoating'
    ? estimate('wearOnCoating', overrides)
    : kind === 'wheelWax' || kind === 'sprayWax' || kind === 'quickDetailer'
      ? estimate('wearOnWax', overrides)
      : 1

/** Share of the life that one use takes off each layer, the worst of them; 0 to 1. House estimate. */
export function wearShare(
  wear: ProtectionWear,
  use: Use,
  layers: readonly ProtectionKind[],
  overrides: EstimateOverrides,
): number {
  const strength = use.fraction / use.product.strength.to
  const base = baseOf(wear, overrides) * strength * activity(use.dwellSeconds, use.product)
  return layers.reduce((worst, kind) => Math.max(worst, Math.min(1, base * factorOf(kind, overrides))), 0)
}
