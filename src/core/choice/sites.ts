import { hottestMeasured, surfaceOfCorner } from '@/core/conditions/conditions'
import type { Job } from '@/core/job/job'
import { protectionFacts } from '@/core/protection/kinds'
import { surfaceOf, type UseSite } from '@/core/rules/judge'
import { services } from '@/core/visit-kinds/service'
import type { Grade } from '@/core/soils/soil'
import { finishZoneOf, type Zone } from '@/core/wheel/zone'
import type { WheelGroup } from './wheelGroup'

const dirtOf = (group: WheelGroup, zone: Zone): Grade =>
  group.corners.reduce<Grade>(
    (worst, { loads }) =>
      Math.max(
        worst,
        loads[zone]?.film ?? 0,
        loads[zone]?.freshDust ?? 0,
        loads[zone]?.bondedDust ?? 0,
      ) as Grade,
    0,
  )

/** Products that marked a finish of these wheels before. */
const markedOn = (surface: UseSite['surface'], { testSpots = [] }: Job): string[] =>
  testSpots.flatMap(({ productId, finish, result }) =>
    result === 'marked' && finish === surface?.finish ? [productId] : [],
  )

/** Places of a group that a rule could tell apart; zones that look alike to the rules are judged once. */
export function sitesOf(group: WheelGroup, job: Job, zones: readonly Zone[] = group.zones): UseSite[] {
  const { water } = services[job.service]
  const sites = new Map<string, UseSite>()
  for (const corner of group.corners) {
    const { celsius, isMeasured } = surfaceOfCorner(corner, job.conditions)
    const beside = [...new Set(Object.values(corner.finishes).map(({ finish }) => finish))]
    for (const zone of zones) {
      const surface = surfaceOf(zone, corner.finishes)
      const site: UseSite = {
        zone,
        surface,
        vehicleKind: job.vehicleKind,
        schools: job.schools,
        // A reading at one wheel speaks for the others until they are measured, too.
        surfaceCelsius: isMeasured
          ? celsius
          : Math.max(celsius, hottestMeasured(job.conditions) ?? -Infinity),
        isReckoned: !isMeasured && celsius > (hottestMeasured(job.conditions) ?? -Infinity),
        exposure: job.conditions.exposure,
        airCelsius: job.conditions.airCelsius,
        humidityShare: job.conditions.humidityShare,
        raining: job.conditions.raining,
        protectionLive: corner.protection.some((kind) => protectionFacts[kind].on === 'wheel'),
        protectionCuring: corner.curing,
        // The knock-down rinse takes grit away before anything else.
        grit: water ? 0 : (corner.loads[zone]?.grit ?? 0),
        dirt: water ? 0 : dirtOf(group, zone),
        liner: job.archLiner,
        marked: markedOn(surface, job),
        beside,
      }
      const kind = zone === 'caliper' || finishZoneOf(zone) === null ? zone : 'wheel'
      sites.set(
        JSON.stringify([kind, surface, site.protectionLive, site.protectionCuring, site.grit, site.dirt]),
        site,
      )
    }
  }
  return [...sites.values()]
}
