import { leavesHandsTime } from '@/core/choice/handsTime'
import { takesSomething } from '@/core/choice/chooseForGroup'
import { sitesOf } from '@/core/choice/sites'
import type { WheelGroup } from '@/core/choice/wheelGroup'
import { familyOf } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import type { Job } from '@/core/job/job'
import { hasClean, hasCloth } from '@/core/reachability/means'
import { isHere } from '@/core/reachability/zoneReach'
import { judgePlaces, rulesAbout, type UseSite } from '@/core/rules/judge'
import { soilNames, soils } from '@/core/soils/soil'
import { services } from '@/core/visit-kinds/service'
import { sealedZones, type Zone } from '@/core/wheel/zone'
import { listed } from './listed'
import type { Said } from './shortfalls'

/** Where a product would go: the zones that are washed, without seats and brakes for what stays on; else tyre or arch. */
function sitesFor(product: Product, groups: readonly WheelGroup[], job: Job): UseSite[] {
  const { surfaces, purpose } = familyOf(product.family)
  if (surfaces.includes('wheel') && purpose === 'protect')
    return groups.flatMap(({ corners, zones }) =>
      sitesOf(
        { corners, zones: zones.filter((zone) => sealedZones.includes(zone) && zone !== 'caliper') },
        job,
      ),
    )
  if (surfaces.includes('wheel')) return groups.flatMap((group) => sitesOf(group, job))
  const zones: readonly Zone[] = surfaces.includes('tyre') ? ['tyre'] : ['arch']
  return sitesOf({ corners: job.corners, zones }, job)
}

/** Why the visit has no place for a product, whatever is on the wheels; null: it has. */
function againstTheVisit(product: Product, job: Job): string | null {
  const family = familyOf(product.family)
  const { name, water, tyres, arches, protection, polishes } = services[job.service]
  const [onWheel, onTyre] = [family.surfaces.includes('wheel'), family.surfaces.includes('tyre')]
  if (product.archived) return 'It is archived; bring it back into use first.'
  if (product.family === 'waterlessSpray' && water)
    return 'It is for wheels that get no water; choose the waterless touch-up for it.'
  if (family.purpose === 'clean' && !water && product.family !== 'waterlessSpray')
    return 'It has to be rinsed off, and this visit has no water.'
  if (product.family === 'rinselessPresoak')
    return 'It is a soak before the first rinse, for clear grit on a dark or soft finish; these wheels want none.'
  if (product.family === 'metalPolish' && !polishes)
    return `${name} does not polish; choose a restoration for it.`
  if (!onWheel && !(onTyre ? tyres : arches !== 'never'))
    return `${name} leaves ${onTyre ? 'tyres' : 'arches'} alone; choose another service for it.`
  if (!onWheel && !job.corners.some((corner) => isHere(onTyre ? 'tyre' : 'arch', corner, job)))
    return `There is no ${onTyre ? 'tyre' : 'arch'} within reach on this visit.`
  if (family.purpose === 'protect' && onWheel && protection === 'none')
    return `${name} puts nothing on the wheels; choose another service for it.`
  if (family.purpose === 'protect' && !family.onWet && onWheel && !hasCloth(job))
    return 'It is wiped on and off, and there is no clean towel in the kit.'
  if (family.purpose === 'protect' && onTyre && !hasClean('applicator', job, 'tyre'))
    return 'There is no clean applicator for tyres in the kit.'
  if (family.purpose === 'clean' && family.needsDry && !hasCloth(job))
    return 'It works on a dry wheel and is wiped off, and there is no clean towel in the kit.'
  return null
}

/** Why a product that was pinned has no place in the plan: the true reason, and what would help. */
export function sayUnusedPin(product: Product, groups: readonly WheelGroup[], job: Job): Said {
  const text = `${product.name} is pinned but has no place in this plan.`
  const visit = againstTheVisit(product, job)
  if (visit) return [text, visit]
  const sites = sitesFor(product, groups, job)
  const rule = judgePlaces(rulesAbout({ product }), sites).rules.find(({ verdict }) => verdict === 'no')
  if (rule) return [text, rule.reason]
  const family = familyOf(product.family)
  if (family.purpose === 'protect')
    return [text, 'Something else goes on these wheels first; one layer is enough for a visit.']
  if (sites.length > 0 && !leavesHandsTime(product, product.strength.to, sites, job))
    return [text, 'Its label leaves no time to brush before the rinse; check the times in the cabinet.']
  const takes = soils.filter((soil) => ratingOf(product, soil) > 1)
  if (family.surfaces.includes('wheel') && !groups.some((group) => takesSomething(product, group)))
    return [text, `It takes ${listed(takes.map((soil) => soilNames[soil]))}, and none of that was entered.`]
  return [
    text,
    job.wishes.pinned.length > 1
      ? 'The other pinned products leave no room for it.'
      : 'No plan that does the rest of the work has room for it.',
  ]
}
