import { ratingOf, type Product } from '@/core/chemistry/product'
import { coldBelowCelsius } from '@/core/efficacy/coldDwell'
import { removalExponent } from '@/core/efficacy/removal'
import { isDelicate as isDelicateFinish } from '@/core/finishes/finish'
import { surfaceCelsiusOf, type Job } from '@/core/job/job'
import type { Grade } from '@/core/soils/soil'
import { worstGrade } from '@/core/soils/zoneLoads'
import { candidatesFor, strongest } from './candidates'
import { needOf, wheelSoils, type WheelSoil } from './need'
import { roleOf } from './role'
import type { WheelGroup } from './wheelGroup'

/** Worst grade of what a product is rated for. */
const gradeFor = (product: Product, group: WheelGroup): Grade =>
  wheelSoils
    .filter((soil) => ratingOf(product, soil) > 0)
    .reduce<Grade>((worst, soil) => Math.max(worst, worstGrade(group.corners, group.zones, soil)) as Grade, 0)

/** Whether some finish of these wheels wants milder and longer, never stronger. */
export const isDelicate = (group: WheelGroup): boolean =>
  group.corners.some(({ finishes }) => Object.values(finishes).some(isDelicateFinish))

/** A wash is not repeated for bonded iron: the iron remover takes it. */
const isRepeatedFor = (product: Product, soil: WheelSoil): boolean =>
  ratingOf(product, soil) > 0 && (soil !== 'bondedDust' || roleOf(product.family) === 'iron')

/** A second round is planned for neglected dirt alone; elsewhere the look decides. A third would be the wrong product. */
export const roundsOf = (product: Product, group: WheelGroup): readonly (1 | 2)[] =>
  product.family !== 'ironTarRemover' &&
  !strongest.includes(product.family) &&
  wheelSoils.some(
    (soil) => isRepeatedFor(product, soil) && worstGrade(group.corners, group.zones, soil) === 4,
  )
    ? [1, 2]
    : [1]

/** Whether one round would do on a wheel that is not cold. */
function isOnlyForCold(
  product: Product,
  fraction: number,
  dwellSeconds: number,
  group: WheelGroup,
  job: Job,
): boolean {
  if (surfaceCelsiusOf(job) >= coldBelowCelsius) return false
  const { required } = needOf(group, job)
  return wheelSoils.every((soil, at) => {
    const warm = removalExponent(soil, { product, fraction, dwellSeconds, surfaceCelsius: 20 }, job.estimates)
    return ratingOf(product, soil) === 0 || warm >= (required[at] ?? 0)
  })
}

/**
 * On a finish that stands more, only neglected dirt is washed twice, and only with the strongest of the usual cleaners:
 * more dirt never gets a milder one.
 */
function isRepeated(product: Product, group: WheelGroup, job: Job): boolean {
  if (gradeFor(product, group) < 4) return false
  const present = wheelSoils.filter((soil) => worstGrade(group.corners, group.zones, soil) === 4)
  const usual = candidatesFor(job).filter(({ family }) => !strongest.includes(family))
  return present.some(
    (soil) =>
      ratingOf(product, soil) > 0 && usual.every((one) => ratingOf(one, soil) <= ratingOf(product, soil)),
  )
}

/** Whether a second round is taken only where nothing else does: strength and time come first. */
export const isLastResort = (
  product: Product,
  fraction: number,
  actingSeconds: number,
  group: WheelGroup,
  job: Job,
): boolean =>
  (!isDelicate(group) && !isRepeated(product, group, job)) ||
  isOnlyForCold(product, fraction, actingSeconds, group, job)
