import { mechanicsOf } from '@/core/efficacy/mechanics'
import type { Corner, Job } from '@/core/job/job'
import { surfaceOf } from '@/core/rules/judge'
import { services } from '@/core/services/service'
import { pickTool } from '@/core/reach/pickTool'
import type { Tool } from '@/core/tools/tool'
import { spokeGapMillimetres } from '@/core/wheel-geometry'
import { millimetresPerInch } from '@/core/tyre/tyreCode'
import { axleOf, inWalkingOrder, type Position } from '@/core/wheel/position'
import { wheelZones, type Zone } from '@/core/wheel/zone'

/** Zones only reached between the spokes; a closed wheel hides them until it is off. */
export const behindTheFace: readonly Zone[] = ['barrel', 'spokeBacks', 'windows', 'caliper']

/** Wheels of an axle that are alike in all that matters, and so get the same chemistry. */
export interface WheelGroup {
  readonly corners: readonly Corner[]
  /** Zones of the wheel that can be worked, the caliper among them. */
  readonly zones: readonly Zone[]
  /** What works each zone; null where nothing in the kit does. */
  readonly tools: ReadonlyMap<Zone, Tool | null>
  /** What the hand adds to the chemistry, by zone. */
  readonly mechanics: ReadonlyMap<Zone, number>
}

export const positionsOf = ({ corners }: Pick<WheelGroup, 'corners'>): Position[] =>
  corners.map(({ position }) => position)

/** Clear gap between two spokes, mm; no limit where the wheel is off and worked from behind. */
export const gapOf = ({ wheel }: Corner, wheelsOff: boolean): number =>
  wheelsOff
    ? Infinity
    : spokeGapMillimetres(
        wheel.spokeCount,
        wheel.spokeWidthMillimetres,
        wheel.tyre.rimDiameterInches * millimetresPerInch,
      )

/** Zones of a wheel that can be got at. */
export function reachableZones(corner: Corner, job: Job): Zone[] {
  const all: Zone[] = [...wheelZones, 'caliper']
  const closed = corner.wheel.spokeCount === 0 && !services[job.service].wheelsOff
  return closed ? all.filter((zone) => !behindTheFace.includes(zone)) : all
}

function toolAt(zone: Zone, corner: Corner, job: Job): Tool | null {
  return pickTool(zone, job.tools, {
    gapMillimetres: gapOf(corner, services[job.service].wheelsOff),
    surface: surfaceOf(zone, corner.finishes),
    liner: job.archLiner,
    schools: job.schools,
    vehicleKind: job.vehicleKind,
  })
}

/** Groups the wheels of each axle that are alike; in walking order. */
export function groupWheels(job: Job): WheelGroup[] {
  const groups = new Map<string, Corner[]>()
  for (const corner of inWalkingOrder(job.corners)) {
    const { wheel, finishes, protection, curing, position } = corner
    // Dirt differs from wheel to wheel of an axle; the recipe is for the worst of them.
    const key = JSON.stringify([axleOf(position), wheel, finishes, protection, curing])
    groups.set(key, [...(groups.get(key) ?? []), corner])
  }
  return [...groups.values()].map((corners) => {
    const [first] = corners as [Corner, ...Corner[]]
    const zones = reachableZones(first, job)
    const tools = new Map(zones.map((zone) => [zone, toolAt(zone, first, job)]))
    return {
      corners,
      zones,
      tools,
      mechanics: new Map(zones.map((zone) => [zone, mechanicsOf(tools.get(zone) ?? null, job.estimates)])),
    }
  })
}
