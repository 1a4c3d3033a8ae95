import { millilitresPerUnit } from '@/core/quantity/volume'

/** Which bottles, ounces and gallons a person thinks in. */
export const volumeSystems = ['metric', 'us', 'imperial'] as const
export type VolumeSystem = (typeof volumeSystems)[number]

/** A measuring jug: which units stand on it, and how far its marks lie apart. */
export interface Jug {
  readonly system: VolumeSystem
  /** > 0 */
  readonly stepMillilitres: number
}

/** Jugs that show ounces have a mark at every half one. */
export const usualJug: Readonly<Record<VolumeSystem, Jug>> = {
  metric: { system: 'metric', stepMillilitres: 5 },
  us: { system: 'us', stepMillilitres: millilitresPerUnit.us.ounce / 2 },
  imperial: { system: 'imperial', stepMillilitres: millilitresPerUnit.imperial.ounce / 2 },
}
