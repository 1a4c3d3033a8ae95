import type { Schools } from '@/core/schools/schools'
import { judge } from '@/core/rules/judge'
import type { FinishState } from '@/core/finishes/finishState'
import type { ArchLiner, VehicleKind } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import { kindsForZone, type Tool, type ToolKind } from '@/core/tools/tool'

/** Zones reached only through the gap between two spokes. */
const behindSpokes: readonly Zone[] = ['barrel', 'spokeBacks']

/** Where a tool is wanted. */
export interface ToolSite {
  /** Clear gap between two spokes, mm. */
  readonly gapMillimetres: number
  readonly surface: FinishState | null
  readonly liner: ArchLiner
  readonly schools: Schools
  readonly vehicleKind: VehicleKind
}

/** A shop that works the face by brush takes the brush first. */
const kindsFor = (zone: Zone, { face }: Schools): readonly ToolKind[] => {
  const kinds = kindsForZone[zone] ?? []
  return face === 'brush' && (zone === 'face' || zone === 'lip')
    ? [...kinds].sort((a, b) => Number(b === 'faceBrush') - Number(a === 'faceBrush'))
    : kinds
}

/**
 * The best tool of the kit for a zone: of the kind that serves it, thin enough for the gap, and no rule against it.
 * @returns null when nothing in the kit serves: the zone stays unreached, and the plan says so
 */
export function pickTool(zone: Zone, kit: readonly Tool[], site: ToolSite): Tool | null {
  for (const kind of kindsFor(zone, site.schools)) {
    const fitting = kit
      .filter((tool) => tool.kind === kind)
      .filter((tool) => !behindSpokes.includes(zone) || tool.squeezedMillimetres <= site.gapMillimetres)
      .filter((tool) => judge({ tool }, { ...site, zone, protectionLive: false }).verdict !== 'no')
      // The thickest that still passes wipes most in one stroke.
      .sort((a, b) => b.diameterMillimetres - a.diameterMillimetres || a.id.localeCompare(b.id))
    if (fitting[0]) return fitting[0]
  }
  return null
}
