import { familyOf, type FamilyId } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import type { Job } from '@/core/job/job'
import { hasCloth } from '@/core/reachability/means'
import { services } from '@/core/visit-kinds/service'
import { wheelSoils } from './need'

/** A pre-soak comes before the rinse, polish after all else: neither cleans in the sense of a stage. */
const notAStage: readonly FamilyId[] = ['rinselessPresoak', 'metalPolish']

/** The strongest there is: the quickest way, but nobody's first choice where something else does it. */
export const strongest: readonly FamilyId[] = ['heavyGel', 'acidCleaner', 'alkalineFoam']

export const isPlannable = (product: Product, job: Job): boolean =>
  !product.archived && !job.wishes.forbidden.includes(product.id)

/** Products of the cabinet that could be a stage on these wheels, whatever the rules say. */
export function candidatesFor(job: Job): Product[] {
  const { water } = services[job.service]
  return job.cabinet.filter((product) => {
    const family = familyOf(product.family)
    if (!isPlannable(product, job) || family.purpose !== 'clean' || notAStage.includes(product.family))
      return false
    if (!family.surfaces.includes('wheel') || !wheelSoils.some((soil) => ratingOf(product, soil) > 0))
      return false
    // Wiped on or off: without a cloth it does not come to that.
    if (family.needsDry && !hasCloth(job)) return false
    return (product.family === 'waterlessSpray') === !water
  })
}
