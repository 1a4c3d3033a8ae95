import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { mostOptions } from '@/core/choice/promising'
import { hottestMeasured, surfaceOfCorner } from '@/core/conditions/conditions'
import type { Job } from '@/core/job/job'
import { zoneReach } from '@/core/reach/zoneReach'
import { nameCorners } from '@/core/words/sayPlan'
import { zoneNames, zones } from '@/core/wheel/zone'
import type { Position } from '@/core/wheel/position'

const hottestReckoned = (job: Job): number =>
  Math.max(...job.corners.map((corner) => surfaceOfCorner(corner, job.conditions).celsius))

/** What nobody knows and the plan assumes. */
export function assumptionsOf(job: Job, choices: readonly GroupChoice[]): string[] {
  const unknown = new Set(
    job.corners.flatMap((corner) =>
      (['face', 'barrel', 'windows', 'lip'] as const).filter(
        (zone) =>
          !corner.finishes[zone] ||
          corner.finishes[zone]?.finish === 'unknown' ||
          corner.finishes[zone]?.condition === 'unknown',
      ),
    ),
  )
  return [
    ...(unknown.size > 0
      ? [
          `The finish of ${[...unknown].map((zone) => zoneNames[zone]).join(', ')} is not known for sure: planned as bare metal.`,
        ]
      : []),
    ...(hottestMeasured(job.conditions) === undefined
      ? [
          `The wheels were not measured: reckoned at ${Math.round(hottestReckoned(job))} °C from air, sun and wind. A reading overrides it.`,
        ]
      : []),
    ...(choices.some(({ options }) => options.length > 2 * mostOptions)
      ? [
          'The cabinet is very large: where hundreds of uses compete, only the most promising were weighed in every order. Archive what you do not use.',
        ]
      : []),
    ...unworkedZones(job),
    'Minutes, amounts and what comes off are house estimates.',
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
