import { hottestMeasured, surfaceOfCorner } from '@/core/conditions/conditions'
import type { Corner, Job } from '@/core/job/job'
import { protectionFacts } from '@/core/protection/kinds'
import { surfaceOf, type UseSite } from '@/core/rules/judge'
import { services } from '@/core/visit-kinds/service'
import type { Grade } from '@/core/soils/soil'
import { finishZoneOf, finishZones, type Zone } from '@/core/wheel/zone'
import type { WheelGroup } from './wheelGroup'

/** Some zones of some wheels. */
type Place = Pick<WheelGroup, 'corners' | 'zones'>

const dirtOf = (group: Place, zone: Zone): Grade =>
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

/** Whether protection that is to stay is on a zone. A tyre's coating counts until it is renewed; a dressing never outlives a wash. */
const isProtected = (zone: Zone, { protection }: Corner, { service }: Job): boolean =>
  zone === 'tyre'
    ? protection.includes('tyreCoating') && services[service].protection !== 'coat'
    : protection.some((kind) => protectionFacts[kind].on === 'wheel')

/** Sites that a rule could tell apart; zones that look alike to the rules are judged once. */
export function sitesOf(group: Place, job: Job, zones: readonly Zone[] = group.zones): UseSite[] {
  const { water } = services[job.service]
  const sites = new Map<string, UseSite>()
  for (const corner of group.corners) {
    const beside = [
      ...new Set(
        finishZones.flatMap((zone) => (zone === 'caliper' ? [] : (corner.finishes[zone]?.finish ?? []))),
      ),
    ]
    for (const zone of zones) {
      const surface = surfaceOf(zone, corner.finishes)
      const { celsius, isMeasured } = surfaceOfCorner(corner, job.conditions, null, zone === 'tyre')
      const site: UseSite = {
        zone,
        surface,
        vehicleKind: job.vehicleKind,
        methods: job.methods,
        // A reading at one wheel speaks for the others until they are measured, too.
        surfaceCelsius: isMeasured
          ? celsius
          : Math.max(celsius, hottestMeasured(job.conditions) ?? -Infinity),
        isReckoned: !isMeasured && celsius > (hottestMeasured(job.conditions) ?? -Infinity),
        exposure: job.conditions.exposure,
        airCelsius: job.conditions.airCelsius,
        humidityShare: job.conditions.humidityShare,
        raining: job.conditions.raining,
        protectionLive: isProtected(zone, corner, job),
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
