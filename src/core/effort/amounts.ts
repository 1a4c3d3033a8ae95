import type { Delivery } from '@/core/chemistry/family'
import { estimate, type EstimateId, type OwnEstimates } from '@/core/estimates/houseEstimates'
import { wheelAreas, type WheelGeometry } from '@/core/wheel-geometry'
import type { Zone } from '@/core/wheel/zone'

const coverageIds: Record<Exclude<Delivery, 'bucket'>, EstimateId> = {
  trigger: 'coverageTrigger',
  pumpFoamer: 'coveragePumpFoamer',
  lance: 'coverageLance',
  brush: 'coverageBrush',
  cloth: 'coverageCloth',
}

/** Area of some zones of a wheel, m². Small parts (lugs, cap, valve, lip) lie within the face. */
export function zonesAreaM2(wheel: WheelGeometry, zones: readonly Zone[]): number {
  const areas = wheelAreas(wheel)
  const of: Partial<Record<Zone, number>> = {
    arch: areas.archM2,
    tyre: areas.sidewallM2,
    face: areas.faceM2,
    windows: areas.windowsM2,
    spokeBacks: areas.spokeBacksM2,
    barrel: areas.barrelM2,
  }
  return zones.reduce((sum, zone) => sum + (of[zone] ?? 0), 0)
}

/** Working mix for one round on one wheel: area × coverage × waste through the open face. Millilitres; a bucket is mixed once. */
export function millilitresAtCorner(
  wheel: WheelGeometry,
  zones: readonly Zone[],
  delivery: Delivery,
  own: OwnEstimates,
): number {
  if (delivery === 'bucket') return 0
  const throughFace = zones.some((zone) => zone !== 'arch' && zone !== 'tyre')
  const waste = throughFace ? 1 + estimate('openWheelWaste', own) * wheel.openness : 1
  return zonesAreaM2(wheel, zones) * estimate(coverageIds[delivery], own) * waste
}
