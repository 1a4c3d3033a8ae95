import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { hotBrakes } from '@/core/conditions/brakesNow'
import { sayMinutes } from '@/core/timing/stageTiming'
import { maxOptions } from '@/core/choice/promising'
import { hottestMeasured, surfaceOfCorner } from '@/core/conditions/conditions'
import type { Corner, Job } from '@/core/job/job'
import { listed } from '@/core/words/listed'
import { zoneReach } from '@/core/reachability/zoneReach'
import { nameCorners } from '@/core/words/sayPlan'
import { zoneNames, zones } from '@/core/wheel/zone'
import { positionNames, type Position } from '@/core/wheel/position'

const hottestReckoned = (job: Job): number =>
  Math.max(...job.corners.map((corner) => surfaceOfCorner(corner, job.conditions).celsius))

/** Zones whose finish nobody knows for sure. */
const unknownZones = (corner: Corner) =>
  (['face', 'barrel', 'windows', 'lip'] as const).filter(
    (zone) =>
      !corner.finishes[zone] ||
      corner.finishes[zone]?.finish === 'unknown' ||
      corner.finishes[zone]?.condition === 'unknown',
  )

/** What nobody knows and the plan assumes. */
export function assumptionsOf(job: Job, choices: readonly GroupChoice[]): string[] {
  const all = job.corners.map(({ position }) => position)
  const unknown = new Set(job.corners.flatMap(unknownZones))
  const unknownAt = job.corners
    .filter((corner) => unknownZones(corner).length > 0)
    .map(({ position }) => position)
  return [
    ...(unknown.size > 0
      ? [
          `The finish of ${listed([...unknown].map((zone) => zoneNames[zone]))} ${nameCorners(unknownAt, all)} is not known for sure, so it is planned as bare metal. Three checks at the wheel: Is it a cold mirror? Does a magnet hold? Does a dab of polish turn a white cloth black at a hidden spot? Enter the answers in the finish finder.`,
        ]
      : []),
    ...takenAsCoated(job),
    ...hotBrakes(job.conditions, job.estimates).flatMap(({ position, celsius, waitSeconds }) =>
      waitSeconds === null
        ? []
        : [
            `The brake of the ${positionNames[position].toLowerCase()} wheel was ${Math.round(celsius)} °C. By its two readings it is cool enough in ${sayMinutes(waitSeconds)}; until then the other wheels are worked.`,
          ],
    ),
    ...(hottestMeasured(job.conditions) === undefined
      ? [
          `The wheels were not measured: reckoned at ${Math.round(hottestReckoned(job))} °C from air, sun and wind. A reading overrides it.`,
        ]
      : []),
    ...(choices.some(({ options }) => options.length > 2 * maxOptions)
      ? [
          'The cabinet is very large: where hundreds of uses compete, only the most promising were weighed in every order. Archive what you do not use.',
        ]
      : []),
    ...unworkedZones(job),
    'Minutes, amounts and what comes off are house estimates.',
  ]
}

/** Wheels that the visit treats as coated though no coating is on record. */
function takenAsCoated({ service, corners }: Job): string[] {
  const bare = corners.filter(({ protection }) => !protection.includes('ceramicCoating'))
  if (service !== 'coatedMaintenance' || bare.length === 0) return []
  const where = nameCorners(
    bare.map(({ position }) => position),
    corners.map(({ position }) => position),
  )
  return [
    `No coating is on record ${where}; this visit treats the wheels as coated. If they are not, plan a maintenance visit.`,
  ]
}

/** Zones that are not there, not described or out of reach, each reason once with its wheels. */
function unworkedZones(job: Job): string[] {
  const all = job.corners.map(({ position }) => position)
  const byReason = new Map<string, { zones: Set<string>; corners: Set<Position> }>()
  for (const corner of job.corners)
    for (const zone of zones) {
      const { state, why } = zoneReach(zone, corner, job)
      if (state === 'here' || zone === 'rotor') continue
      const known = byReason.get(why) ?? { zones: new Set(), corners: new Set() }
      byReason.set(why, {
        zones: known.zones.add(zoneNames[zone]),
        corners: known.corners.add(corner.position),
      })
    }
  return [...byReason].map(
    ([why, { zones: named, corners }]) =>
      `Not worked ${nameCorners([...corners], all)}: ${[...named].join(', ')}; ${why}.`,
  )
}
