import { estimate, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { Job } from '@/core/job/job'
import { services, type Target } from '@/core/visit-kinds/service'
import { amountOfGrade, type Soil } from '@/core/soils/soil'
import type { Zone } from '@/core/wheel/zone'
import { isPolishedMetal } from './polishedMetal'
import type { WheelGroup } from './wheelGroup'
import { log } from '@/core/quantity/portableMath'

/** Soils that chemistry takes off a wheel; grit goes with the rinse. */
export const wheelSoils = ['film', 'freshDust', 'bondedDust', 'tar', 'mineral', 'organic'] as const satisfies readonly Soil[] // prettier-ignore
export type WheelSoil = (typeof wheelSoils)[number]
export const filmIndex = wheelSoils.indexOf('film')
export const bondedIndex = wheelSoils.indexOf('bondedDust')

/**
 * What the stages together have to do, as sums of removal exponents in the order of `wheelSoils`. A zone that the hand
 * works less needs more chemistry, so the neediest zone decides: max ln(A/target)/mechanics.
 */
export interface Need {
  readonly required: readonly number[]
  /**
   * Film removal after which no zone has film above grade 1; iron removers are weak before. In a shop that uses them
   * after the wash, some wash comes before them on a wheel without film as well.
   */
  readonly filmClear: number
}

/** What may be left of a soil: as clean as the visit is for, as near to it as ratings are known. */
export const targetAmount = (target: Target, overrides: EstimateOverrides): number =>
  estimate(target === 'maintained' ? 'targetMaintained' : 'targetDecontaminated', overrides) *
  estimate('targetSlack', overrides)

/** Even a wheel that looks clean is washed. */
const leastWash = 0.05

/** Amount of a soil where there is most of it, over the wheels of a group; scale on polished metal is left to polish. */
export const amountAt = (group: Pick<WheelGroup, 'corners'>, zone: Zone, soil: Soil): number =>
  Math.max(
    0,
    ...group.corners.map((corner) =>
      soil === 'mineral' && isPolishedMetal(zone, corner)
        ? 0
        : amountOfGrade(corner.loads[zone]?.[soil] ?? 0),
    ),
  )

function neediest(group: WheelGroup, soil: Soil, target: number): number {
  return group.zones.reduce((most, zone) => {
    const amount = amountAt(group, zone, soil)
    if (amount <= target) return most
    return Math.max(most, log(amount / target) / (group.mechanics.get(zone) ?? 1))
  }, 0)
}

export function needOf(group: WheelGroup, job: Job): Need {
  const { targets } = services[job.service]
  const required = wheelSoils.map((soil) => {
    const target = targets[soil]
    return target === undefined ? 0 : neediest(group, soil, targetAmount(target, job.estimates))
  })
  required[filmIndex] = Math.max(required[filmIndex] ?? 0, leastWash)
  const washFirst = job.methods.ironOn === 'afterWash' ? leastWash : 0
  return { required, filmClear: Math.max(washFirst, neediest(group, 'film', 1)) }
}
