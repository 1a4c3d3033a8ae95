import { message, type Message } from '@/core/message/message'
import { term, terms } from '@/core/message/term'
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
import { soils } from '@/core/soils/soil'
import { services } from '@/core/visit-kinds/service'
import { sealedZones, type Zone } from '@/core/wheel/zone'
import type { Undone } from './shortfalls'

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
function againstTheVisit(product: Product, job: Job): Message | null {
  const family = familyOf(product.family)
  const visit = term('visit', job.service)
  const { water, tyres, arches, protection, polishes } = services[job.service]
  const [onWheel, onTyre] = [family.surfaces.includes('wheel'), family.surfaces.includes('tyre')]
  if (product.archived) return message('reasons.pin.archived')
  if (product.family === 'waterlessSpray' && water) return message('reasons.pin.needsNoWater')
  if (family.purpose === 'clean' && !water && product.family !== 'waterlessSpray')
    return message('reasons.pin.needsWater')
  if (product.family === 'rinselessPresoak') return message('reasons.pin.presoak')
  if (product.family === 'metalPolish' && !polishes) return message('reasons.pin.notPolished', { visit })
  if (!onWheel && !(onTyre ? tyres : arches !== 'never'))
    return message(onTyre ? 'reasons.pin.noTyres' : 'reasons.pin.noArches', { visit })
  if (!onWheel && !job.corners.some((corner) => isHere(onTyre ? 'tyre' : 'arch', corner, job)))
    return message(onTyre ? 'reasons.pin.noTyreHere' : 'reasons.pin.noArchHere')
  if (family.purpose === 'protect' && onWheel && protection === 'none')
    return message('reasons.pin.noProtection', { visit })
  if (family.purpose === 'protect' && !family.onWet && onWheel && !hasCloth(job))
    return message('reasons.pin.noTowelOnOff')
  if (family.purpose === 'protect' && onTyre && !hasClean('applicator', job, 'tyre'))
    return message('reasons.pin.noApplicator')
  if (family.purpose === 'clean' && family.needsDry && !hasCloth(job))
    return message('reasons.pin.noTowelDry')
  return null
}

/** Why a product that was pinned has no place in the plan: the true reason, and what would help. */
export function sayUnusedPin(product: Product, groups: readonly WheelGroup[], job: Job): Undone {
  const text = message('reasons.pin.unused', { product: product.name })
  const visit = againstTheVisit(product, job)
  if (visit) return [text, visit]
  const sites = sitesFor(product, groups, job)
  const rule = judgePlaces(rulesAbout({ product }), sites).rules.find(({ verdict }) => verdict === 'no')
  if (rule) return [text, rule.reason]
  const family = familyOf(product.family)
  if (family.purpose === 'protect') return [text, message('reasons.pin.otherLayer')]
  if (sites.length > 0 && !leavesHandsTime(product, product.strength.to, sites, job))
    return [text, message('reasons.pin.noHandsTime')]
  const takes = soils.filter((soil) => ratingOf(product, soil) > 1)
  if (family.surfaces.includes('wheel') && !groups.some((group) => takesSomething(product, group)))
    return [text, message('reasons.pin.notEntered', { soils: terms('soil', takes) })]
  return [
    text,
    job.wishes.pinned.length > 1 ? message('reasons.pin.otherPins') : message('reasons.pin.noRoom'),
  ]
}
