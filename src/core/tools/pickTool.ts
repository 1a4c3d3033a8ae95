import type { Zone } from '@/core/wheel/zone'
import { kindsForZone, type Tool } from './tool'

/** Zones reached only through the gap between two spokes. */
const behindSpokes: readonly Zone[] = ['barrel', 'spokeBacks']

/**
 * The first clean tool of the kit that serves a zone: soft enough for a finish, thin enough for the gap.
 * @param gapMillimetres clear gap between two spokes, mm
 * @returns null when nothing in the kit serves: the zone stays unreached, and the plan says so
 */
export function pickTool(zone: Zone, kit: readonly Tool[], gapMillimetres: number): Tool | null {
  const rubber = zone === 'tyre' || zone === 'arch'
  for (const kind of kindsForZone[zone] ?? []) {
    const fitting = kit
      .filter((tool) => tool.kind === kind && tool.state === 'clean')
      .filter((tool) => rubber || tool.stiffness !== 'stiff')
      .filter((tool) => !behindSpokes.includes(zone) || tool.squeezedMillimetres <= gapMillimetres)
      // The thickest that still passes wipes most in one stroke.
      .sort((a, b) => b.diameterMillimetres - a.diameterMillimetres || a.id.localeCompare(b.id))
    if (fitting[0]) return fitting[0]
  }
  return null
}
