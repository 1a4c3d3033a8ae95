import type { Delivery } from '@/core/chemistry/family'
import { wheelAreas, type WheelGeometry } from '@/core/wheel-geometry'
import type { Zone } from '@/core/wheel/zone'
import { coverageMillilitresPerM2, openWheelWaste } from './estimates'

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

/** Working mix for one round on one wheel: area × coverage × waste through the open face. Millilitres. */
export function millilitresAtCorner(
  wheel: WheelGeometry,
  zones: readonly Zone[],
  delivery: Delivery,
): number {
  const throughFace = zones.some((zone) => zone !== 'arch' && zone !== 'tyre')
  const waste = throughFace ? 1 + openWheelWaste.value * wheel.openness : 1
  return zonesAreaM2(wheel, zones) * coverageMillilitresPerM2[delivery].value * waste
}
