import { mechanicsOf } from '@/core/efficacy/mechanics'
import type { Corner, Job } from '@/core/job/job'
import { surfaceOf } from '@/core/rules/judge'
import { depthOf } from '@/core/reachability/depth'
import { gapOf } from '@/core/reachability/gap'
import { pickTools } from '@/core/reachability/pickTools'
import { workedZones } from '@/core/reachability/zoneReach'
import type { Tool } from '@/core/tools/tool'
import { axleOf, inWalkingOrder, type Position } from '@/core/wheel/position'
import type { Zone } from '@/core/wheel/zone'

/** Wheels of an axle that are alike in all that matters, and so get the same chemistry. */
export interface WheelGroup {
  readonly corners: readonly Corner[]
  /** Zones of the wheel that are worked, the caliper among them: those that can be reached, and with a tool for them. */
  readonly zones: readonly Zone[]
  /** Zones that can be reached and that nothing in the kit works: what is sprayed goes there too, and is rinsed off. */
  readonly sprayedOnly: readonly Zone[]
  /** What works each zone that can be reached; null where nothing in the kit does. */
  readonly tools: ReadonlyMap<Zone, Tool | null>
  /** What the hand adds to the chemistry, by zone. */
  readonly mechanics: ReadonlyMap<Zone, number>
}

export const positionsOf = ({ corners }: Pick<WheelGroup, 'corners'>): Position[] =>
  corners.map(({ position }) => position)

const toolsAt = (zones: readonly Zone[], corner: Corner, job: Job): Map<Zone, Tool | null> =>
  pickTools(zones, job.tools, (zone) => ({
    gapMillimetres: gapOf(corner, job),
    depthMillimetres: depthOf(zone, corner, job),
    surface: surfaceOf(zone, corner.finishes),
    liner: job.archLiner,
    methods: job.methods,
    vehicleKind: job.vehicleKind,
  }))

/** Groups the wheels of each axle that are alike; in walking order. */
export function groupWheels(job: Job): WheelGroup[] {
  const groups = new Map<string, Corner[]>()
  for (const corner of inWalkingOrder(job.corners)) {
    const { wheel, finishes, protection, curing, position } = corner
    // Dirt differs from wheel to wheel of an axle; the recipe is for the worst of them.
    const key = JSON.stringify([
      axleOf(position), wheel, finishes, protection, curing, workedZones(corner, job),
    ]) // prettier-ignore
    groups.set(key, [...(groups.get(key) ?? []), corner])
  }
  return [...groups.values()].map((corners) => {
    const [first] = corners as [Corner, ...Corner[]]
    const reached = workedZones(first, job)
    const tools = toolsAt(reached, first, job)
    return {
      corners,
      // The chemistry is chosen for what hands work; what spray and water leave elsewhere stays, and the plan says so.
      zones: reached.filter((zone) => tools.get(zone) !== null),
      sprayedOnly: reached.filter((zone) => tools.get(zone) === null),
      tools,
      mechanics: new Map(reached.map((zone) => [zone, mechanicsOf(tools.get(zone) ?? null, job.estimates)])),
    }
  })
}
