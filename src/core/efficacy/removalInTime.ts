import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import { estimate } from '@/core/estimates/houseEstimates'
import { power } from '@/core/quantity/portableMath'
import type { Soil } from '@/core/soils/soil'
import { removalExponent, type Use } from './removal'

/**
 * The removal exponent where the cold is answered with time: within its label a product is left longer than the shortest
 * dwell, and makes good what the cold takes, at most all of it. Suds come with warm water.
 * @returns the exponent without mechanics; never above that at 20 °C for a colder wheel
 */
export function removalInTime(soil: Soil, use: Use, overrides: EstimateOverrides): number {
  const exponent = removalExponent(soil, use, overrides)
  const { product, surfaceCelsius, dwellSeconds } = use
  if (surfaceCelsius >= 20) return exponent
  const slower = power(estimate('q10', overrides), (20 - Math.max(0, surfaceCelsius)) / 10)
  const { min } = product.dwellSeconds
  const longer = product.delivery === 'bucket' ? slower : min > 0 ? dwellSeconds / min : 1
  return exponent * Math.max(1, Math.min(slower, longer))
}
