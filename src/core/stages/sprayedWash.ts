import { message } from '@/core/message/message'
import { protectionWears } from '@/core/chemistry/family'
import { ratingOf, wearOf, type Product } from '@/core/chemistry/product'
import { candidatesFor, strongest } from '@/core/choice/candidates'
import { roleOf } from '@/core/choice/role'
import { sitesOf } from '@/core/choice/sites'
import { reachesAs } from '@/core/choice/spots'
import type { WheelGroup } from '@/core/choice/wheelGroup'
import type { Job } from '@/core/job/job'
import { judgePlaces, rulesAbout, type UseSite } from '@/core/rules/judge'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { StageDraft } from './stageDraft'

/** What a cleaner is rated for of the dirt that is there; more than that helps nobody. */
function suits(product: Product, { corners, sprayedOnly }: WheelGroup): number {
  return (['film', 'freshDust', 'organic'] as const).reduce(
    (sum, soil) => sum + Math.min(ratingOf(product, soil), worstGrade(corners, sprayedOnly, soil)),
    0,
  )
}

const wearRank = (product: Product): number => protectionWears.indexOf(wearOf(product))

type Chosen = Pick<StageDraft, 'product' | 'fraction' | 'dwellSeconds'>

/** Of the cabinet what suits the dirt best, of those the mildest, at the strongest its label has; absent where nothing can be sprayed. */
function fromCabinet(group: WheelGroup, sites: readonly UseSite[], job: Job): Chosen | undefined {
  const [product] = candidatesFor(job)
    .filter(
      (product) =>
        roleOf(product.family) === 'wash' &&
        reachesAs(product) === 'sprayed' &&
        !strongest.includes(product.family) &&
        judgePlaces(rulesAbout({ product }), sites).verdict !== 'no',
    )
    .sort((a, b) => suits(b, group) - suits(a, group) || wearRank(a) - wearRank(b))
  return product && { product, fraction: product.strength.to, dwellSeconds: product.dwellSeconds }
}

/**
 * What wheels that no tool of the kit works are sprayed with; null where nothing in the cabinet can be sprayed on them.
 * @param same what other wheels of the job are sprayed with, where these can stand it
 */
export function sprayedWash(group: WheelGroup, job: Job, same?: Chosen): Omit<StageDraft, 'corners'> | null {
  const sites = sitesOf({ corners: group.corners, zones: group.sprayedOnly }, job)
  const chosen = same ?? fromCabinet(group, sites, job)
  if (!chosen) return null
  const { product, fraction, dwellSeconds } = chosen
  return {
    kind: 'wash',
    product,
    fraction,
    dwellSeconds,
    zones: group.sprayedOnly,
    tools: [{ zones: group.sprayedOnly, tool: null }],
    judgement: judgePlaces(rulesAbout({ product }), sites),
    why: message('reasons.why.sprayedWash'),
    care: [],
    rounds: 1,
  }
}
