import { message, type Message } from '@/core/message/message'
import { term, terms } from '@/core/message/term'
import type { GroupChoice } from '@/core/choice/chooseForGroup'
import { hotBrakes } from '@/core/conditions/brakesNow'
import { maxOptions } from '@/core/choice/promising'
import { hottestMeasured, surfaceOfCorner } from '@/core/conditions/conditions'
import type { Corner, Job } from '@/core/job/job'
import { zoneReach } from '@/core/reachability/zoneReach'
import { sayWhere } from '@/core/reasons/sayCorners'
import { zones, type Zone } from '@/core/wheel/zone'
import type { Position } from '@/core/wheel/position'

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
export function assumptionsOf(job: Job, choices: readonly GroupChoice[]): Message[] {
  const all = job.corners.map(({ position }) => position)
  const unknown = new Set(job.corners.flatMap(unknownZones))
  const unknownAt = job.corners
    .filter((corner) => unknownZones(corner).length > 0)
    .map(({ position }) => position)
  return [
    ...(unknown.size > 0
      ? [
          message('reasons.assume.unknownFinish', {
            zones: terms('zone', [...unknown]),
            where: sayWhere(unknownAt, all),
          }),
        ]
      : []),
    ...takenAsCoated(job),
    ...hotBrakes(job.conditions, job.estimates).flatMap(({ position, celsius, waitSeconds }) =>
      waitSeconds === null
        ? []
        : [
            message('reasons.assume.hotBrake', {
              wheel: term('wheel', position),
              temperature: { celsius },
              wait: { seconds: waitSeconds },
            }),
          ],
    ),
    ...(hottestMeasured(job.conditions) === undefined
      ? [message('reasons.assume.estimated', { temperature: { celsius: hottestReckoned(job) } })]
      : []),
    ...(choices.some(({ options }) => options.length > 2 * maxOptions)
      ? [message('reasons.assume.largeCabinet')]
      : []),
    ...unworkedZones(job),
    message('reasons.assume.estimates'),
  ]
}

/** Wheels that the visit treats as coated though no coating is on record. */
function takenAsCoated({ service, corners }: Job): Message[] {
  const bare = corners.filter(({ protection }) => !protection.includes('ceramicCoating'))
  if (service !== 'coatedMaintenance' || bare.length === 0) return []
  const where = sayWhere(
    bare.map(({ position }) => position),
    corners.map(({ position }) => position),
  )
  return [message('reasons.assume.coated', { where })]
}

/** Zones that are not there, not described or out of reach, each reason once with its wheels. */
function unworkedZones(job: Job): Message[] {
  const all = job.corners.map(({ position }) => position)
  const byReason = new Map<string, { why: Message; zones: Set<Zone>; corners: Set<Position> }>()
  for (const corner of job.corners)
    for (const zone of zones) {
      const { state, why } = zoneReach(zone, corner, job)
      if (state === 'here' || zone === 'rotor' || why === null) continue
      const known = byReason.get(why.key) ?? { why, zones: new Set(), corners: new Set() }
      byReason.set(why.key, {
        why,
        zones: known.zones.add(zone),
        corners: known.corners.add(corner.position),
      })
    }
  return [...byReason.values()].map(({ why, zones: named, corners }) =>
    message('reasons.assume.notWorked', {
      where: sayWhere([...corners], all),
      zones: terms('zone', [...named]),
      why,
    }),
  )
}
