import { exposures, type Exposure } from '@/core/conditions/exposure'
import type { ConditionsFile } from '@/contracts/conditions'

/** Where the wheels stand, as one choice (named `terms.place`): under the sun, out of it, or in the rain. */
export const places = [...exposures, 'rain'] as const
export type Place = (typeof places)[number]

/** What a choice of place says of the conditions. */
export const placed = (place: Place): { exposure: Exposure; raining: boolean } =>
  place === 'rain' ? { exposure: 'shade', raining: true } : { exposure: place, raining: false }

export const placeOf = ({ exposure, raining }: Pick<ConditionsFile, 'exposure' | 'raining'>): Place =>
  raining ? 'rain' : exposure
