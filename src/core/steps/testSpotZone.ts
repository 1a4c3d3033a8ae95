import { sitesOf } from '@/core/choice/sites'
import type { Corner, Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import { isHere } from '@/core/reachability/zoneReach'
import { judgePlaces, rulesAbout } from '@/core/rules/judge'
import type { Zone } from '@/core/wheel/zone'

/** Where a mark is seen least, first. */
const leastSeenFirst: readonly Zone[] = [
  'spokeBacks',
  'barrel',
  'windows',
  'lugSeats',
  'caliper',
  'face',
  'lip',
  'cap',
  'valve',
]

/** Whether a rule asks for a try of a stage's product on the finish of a zone. */
function asksForTry(
  { productId, strength, dwellSeconds }: Stage,
  zone: Zone,
  corner: Corner,
  job: Job,
): boolean {
  const product = job.cabinet.find(({ id }) => id === productId)
  if (!product) return false
  const sites = sitesOf({ corners: [corner], zones: [zone] }, job)
  const uses = sites.map((site) => ({ ...site, fraction: strength.to, dwellSeconds: dwellSeconds.max }))
  return judgePlaces(rulesAbout({ product }), uses).rules.some(({ testSpot }) => testSpot)
}

/** The zone where products are tried: of those whose finish is in doubt the one that is seen least. */
export function testSpotZone(stages: readonly Stage[], corner: Corner, job: Job): Zone {
  const here = leastSeenFirst.filter((zone) => isHere(zone, corner, job))
  const doubtful = here.filter((zone) =>
    stages.some((stage) => stage.zones.includes(zone) && asksForTry(stage, zone, corner, job)),
  )
  return doubtful[0] ?? here[0] ?? 'face'
}
