import type { Rating } from '@/core/chemistry/family'
import { familyOf } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Soil } from '@/core/soils/soil'
import { exp, power } from '@/core/quantity/portableMath'

/** How a product is used in one stage. */
export interface Use {
  readonly product: Product
  /** Share of concentrate in what is filled, 0 < fraction ≤ 1. */
  readonly fraction: number
  readonly dwellSeconds: number
  /** Of the wetted surface, °C. */
  readonly surfaceCelsius: number
}

const clip = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value))

const referenceOf = (rating: Rating, overrides: EstimateOverrides): number =>
  rating === 0 ? 0 : estimate(`removalRating${rating}`, overrides)

/** Share of the full effect after a time: rises and levels off over the active life; 1 at the label's dwell. */
export function activity(dwellSeconds: number, product: Product): number {
  const { activeLifeSeconds } = familyOf(product.family)
  const label = product.dwellSeconds.max
  if (label <= 0) return 1
  const risen = (seconds: number) => 1 - exp((-3 * seconds) / activeLifeSeconds)
  return risen(dwellSeconds) / risen(label)
}

/**
 * Sinner's circle without the mechanics: K = K_ref · (c/c_label)^0.6 · Q10^((T−20)/10) · activity(t). A step leaves
 * A·exp(−K·mechanics). The label's strongest mix is c_label, so a weaker one is never credited with more. House estimates.
 */
export function removalExponent(soil: Soil, use: Use, overrides: EstimateOverrides): number {
  const reference = referenceOf(ratingOf(use.product, soil), overrides)
  if (reference === 0) return 0
  const strength = power(use.fraction / use.product.strength.to, estimate('strengthExponent', overrides))
  const warmth = power(estimate('q10', overrides), (clip(use.surfaceCelsius, 0, 40) - 20) / 10)
  return reference * strength * warmth * activity(use.dwellSeconds, use.product)
}

/** What is left of an amount after a removal, with an honest band. */
export interface Left {
  readonly expected: number
  readonly low: number
  readonly high: number
}

export function leftOf(amount: number, exponent: number, overrides: EstimateOverrides): Left {
  const band = estimate('removalBand', overrides)
  const after = (share: number) => amount * exp(-exponent * share)
  return { expected: after(1), low: after(1 + band), high: after(Math.max(0, 1 - band)) }
}
