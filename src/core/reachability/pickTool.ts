import type { Methods } from '@/core/methods/methods'
import { judge } from '@/core/rules/judge'
import type { FinishState } from '@/core/finishes/finishState'
import type { ArchLiner, VehicleKind } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'
import { kindsForZone, usualDuty, type Tool, type ToolKind } from '@/core/tools/tool'

/** Zones reached only through the gap between two spokes. */
const behindSpokes: readonly Zone[] = ['barrel', 'spokeBacks']

/** Where a tool is wanted. */
export interface ToolSite {
  /** Clear gap between two spokes, mm. */
  readonly gapMillimetres: number
  /** How far a tool has to reach, mm. */
  readonly depthMillimetres: number
  readonly surface: FinishState | null
  readonly liner: ArchLiner
  readonly methods: Methods
  readonly vehicleKind: VehicleKind
}

/** A shop that works the face by brush takes the brush first. */
const kindsFor = (zone: Zone, { face }: Methods): readonly ToolKind[] => {
  const kinds = kindsForZone[zone] ?? []
  return face === 'brush' && (zone === 'face' || zone === 'lip')
    ? [...kinds].sort((a, b) => Number(b === 'faceBrush') - Number(a === 'faceBrush'))
    : kinds
}

/** Tools of the kinds that serve a zone and pass the gap, whatever the rules say, best first. */
export const candidates = (zone: Zone, kit: readonly Tool[], site: ToolSite): Tool[] =>
  kindsFor(zone, site.methods).flatMap((kind) =>
    kit
      .filter((tool) => tool.kind === kind)
      .filter((tool) => !behindSpokes.includes(zone) || tool.squeezedMillimetres <= site.gapMillimetres)
      .filter((tool) => tool.reachMillimetres >= site.depthMillimetres)
      // The thickest that still passes wipes most in one stroke.
      .sort((a, b) => b.diameterMillimetres - a.diameterMillimetres || a.id.localeCompare(b.id)),
  )

export const isAllowed = (tool: Tool, zone: Zone, site: ToolSite): boolean =>
  judge({ tool }, { ...site, zone, protectionLive: false }).verdict !== 'no'

/**
 * The best tool of the kit for a zone: of the kind that serves it, thin enough for the gap, and no rule against it.
 * @returns null when nothing in the kit serves: the zone stays unreached, and the plan says so
 */
export const pickTool = (zone: Zone, kit: readonly Tool[], site: ToolSite): Tool | null =>
  candidates(zone, kit, site).find((tool) => isAllowed(tool, zone, site)) ?? null

/** The longest tool of the kit that passes the gap but is too short; null where length is not what is missing. */
export const longestTooShort = (zone: Zone, kit: readonly Tool[], site: ToolSite): Tool | null =>
  candidates(zone, kit, { ...site, depthMillimetres: 0 })
    .filter((tool) => tool.reachMillimetres < site.depthMillimetres && isAllowed(tool, zone, site))
    .sort((a, b) => b.reachMillimetres - a.reachMillimetres)[0] ?? null

/** Tools that would serve a zone if they were clean and kept for it. */
export const fitsBut = (zone: Zone, kit: readonly Tool[], site: ToolSite): Tool[] =>
  candidates(zone, kit, site).filter(
    (tool) =>
      !isAllowed(tool, zone, site) &&
      isAllowed({ ...tool, state: 'clean', dedicatedTo: usualDuty(tool.kind) }, zone, site),
  )
