import type { Zone } from '@/core/wheel/zone'
import type { Grade, Soil } from './soil'

/** How much of each soil is where. */
export type ZoneLoads = Partial<Record<Zone, Partial<Record<Soil, Grade>>>>

/** Worst grade of a soil over some zones of some wheels. */
export function worstGrade(
  corners: readonly { readonly loads: ZoneLoads }[],
  zones: readonly Zone[],
  soil: Soil,
): Grade {
  const found = corners.flatMap((corner) => zones.map((zone) => corner.loads[zone]?.[soil] ?? 0))
  return found.reduce<Grade>((worst, grade) => (grade > worst ? grade : worst), 0)
}
