import type { ProtectionWear } from '@/core/chemistry/family'
import { familyOf } from '@/core/chemistry/families'
import { wearOf, type Product } from '@/core/chemistry/product'
import { estimate } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import { exp } from '@/core/quantity/portableMath'
import type { Judgement } from '@/core/rules/judge'
import { amountAt } from './need'
import { isDelicate } from './rounds'
import type { WheelGroup } from './wheelGroup'

const pointsOfHazard = { irritant: 0, corrosive: 1, fumes: 0.3, flammable: 0.4 } as const
const pointsOfWear: Record<ProtectionWear, number> = { none: 0, hardly: 0, some: 0.1, strips: 0.4 }

/** Points for what asks for care: rules, hazards, and how strong it is by nature. House scale. */
export function riskOf(product: Product, judgement: Judgement): number {
  const { hazards } = familyOf(product.family)
  return (
    judgement.rules.filter(({ verdict }) => verdict === 'withCare').length +
    hazards.reduce((sum, hazard) => sum + pointsOfHazard[hazard], 0) +
    pointsOfWear[wearOf(product)]
  )
}

/**
 * What rubbing costs where abrasive dust is still there: the amount left when the brush begins, by the softness of the
 * finish. Chemistry that dwells first has dissolved some; suds from a bucket have not. House scale.
 */
export function touchRisk(
  product: Product,
  rounds: number,
  removesFresh: number,
  group: WheelGroup,
  job: Job,
): number {
  // A light grade is what every wash rubs over.
  const amount = Math.max(
    0,
    ...group.zones.map(
      (zone) => amountAt(group, zone, 'freshDust') + amountAt(group, zone, 'bondedDust') - 1,
    ),
  )
  const softness = estimate(isDelicate(group) ? 'touchSoft' : 'touchHard', job.estimates)
  const dissolved =
    product.delivery === 'bucket' ? 0 : removesFresh * estimate('mechanicsNone', job.estimates)
  const second = rounds === 2 ? exp(-removesFresh) : 0
  return amount * (exp(-dissolved) + second) * softness
}
