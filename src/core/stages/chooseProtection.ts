import { message, sentences, type Message, type Said } from '@/core/message/message'
import { term } from '@/core/message/term'
import { sitesOf } from '@/core/choice/sites'
import { familyOf } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import { sayMethod, type MethodName } from '@/core/methods/methods'
import type { Corner, Job } from '@/core/job/job'
import type { ProtectionKind } from '@/core/protection/kinds'
import { canDry, hasClean, hasCloth } from '@/core/reachability/means'
import { isHere } from '@/core/reachability/zoneReach'
import { judgePlaces, rulesAbout, type Judgement } from '@/core/rules/judge'
import type { Soil } from '@/core/soils/soil'
import { services } from '@/core/visit-kinds/service'
import { finishZones, type Zone } from '@/core/wheel/zone'

/** Zones with a finish that is protected: never the brakes. */
const protectedZones = finishZones.filter((zone) => zone !== 'caliper')

export interface ProtectionChoice {
  readonly product: Product
  readonly kind: ProtectionKind
  readonly why: Said
  readonly judgement: Judgement
  /** The shop setting that decided, if one did. */
  readonly method: Message | null
}

type Wanted = readonly (readonly [ProtectionKind, Message])[]

const layers: Wanted = [
  ['sprayRinseSilica', message('reasons.protection.silica')],
  ['spraySealant', message('reasons.protection.sealant')],
  ['wheelWax', message('reasons.protection.wax')],
  ['sprayWax', message('reasons.protection.sprayWax')],
  ['quickDetailer', message('reasons.protection.detailer')],
]
const onCoating: Wanted = [
  ['coatingTopper', message('reasons.protection.topper')],
  ['sprayRinseSilica', message('reasons.protection.silicaOnCoating')],
]
const coat: Wanted = [
  ['ceramicCoating', message('reasons.protection.coating')],
  ['spraySealant', message('reasons.protection.sealant')],
]

const startWith = (kind: ProtectionKind, wanted: Wanted): Wanted =>
  [...wanted].sort((a, b) => Number(b[0] === kind) - Number(a[0] === kind))

/** Whether anything of the wheel is matte; what hangs behind it is not the wheel. */
const hasMatte = ({ finishes }: Corner): boolean =>
  protectedZones.some((zone) => finishes[zone]?.finish === 'matte')

/** Kinds in the order of preference; the first that is in the cabinet and that the finish can stand is taken. */
function preferences(
  corner: Corner,
  job: Job,
): { readonly wanted: Wanted; readonly method: MethodName | null } {
  const { protection } = services[job.service]
  if (hasMatte(corner)) {
    return {
      wanted: [['matteSealant', message('reasons.protection.matte')]],
      method: null,
    }
  }
  const method = job.methods.protection === 'byRecord' ? null : 'protection'
  if (corner.protection.includes('ceramicCoating')) return { wanted: onCoating, method: null }
  if (protection === 'coat') return { wanted: [...coat, ...layers], method: null }
  if (protection === 'topUp' && !services[job.service].isQuick)
    return { wanted: [...onCoating, ...layers], method: null }
  switch (job.methods.protection) {
    case 'wipeOn':
      return { wanted: startWith('spraySealant', layers), method }
    case 'coating':
      return { wanted: [...coat, ...layers], method }
    case 'sprayAndRinse':
      return { wanted: layers, method }
    case 'byRecord':
      // What is there already is topped up with its own kind.
      return { wanted: corner.protection.reduce((list, kind) => startWith(kind, list), layers), method }
  }
}

/** A kind that would have been taken, and the rule that kept it off. */
export interface RefusedProtection {
  readonly productName: string
  readonly reason: Said
  /** What would help, where it is not the weather or the finish. */
  readonly fix: Message | null
}

export interface ProtectionPick {
  readonly choice: ProtectionChoice | null
  /** The first choice, where it is another one; null where nothing stood in its way. */
  readonly refused: RefusedProtection | null
}

/** Products of a kind, those the person pinned first. */
const productsOf = (kind: ProtectionKind, { cabinet, wishes }: Job): Product[] =>
  cabinet
    .filter((one) => {
      const family = familyOf(one.family)
      return !one.archived && family.purpose === 'protect' && family.protection === kind
    })
    .filter(({ id }) => !wishes.forbidden.includes(id))
    .sort((a, b) => Number(wishes.pinned.includes(b.id)) - Number(wishes.pinned.includes(a.id)))

/** What the person pinned comes before the order of preference. */
const pinnedFirst = (wanted: Wanted, job: Job): Wanted =>
  [...wanted].sort((a, b) => {
    const isPinned = ([kind]: Wanted[number]): boolean =>
      productsOf(kind, job).some(({ id }) => job.wishes.pinned.includes(id))
    return Number(isPinned(b)) - Number(isPinned(a))
  })

/** What the kit lacks for putting something on, with the fix; null: nothing. */
function lackOf(
  { family: id }: Product,
  job: Job,
  stays: Soil | null,
): Omit<RefusedProtection, 'productName'> | null {
  const family = familyOf(id)
  if (id === 'ceramicCoating' && stays !== null)
    return {
      reason: message('reasons.notToday.sealsIn', { soil: term('soil', stays) }),
      fix: message('reasons.notToday.coatLater'),
    }
  if (family.purpose === 'protect' && family.onWet) return null
  if (!canDry(job))
    return {
      reason: message('reasons.notToday.nothingDries'),
      fix: message('reasons.notToday.addDryer'),
    }
  if (family.surfaces.includes('tyre'))
    return hasClean('applicator', job, 'tyre')
      ? null
      : {
          reason: message('reasons.notToday.noTyreApplicator'),
          fix: message('reasons.notToday.addTyreApplicator'),
        }
  if (id === 'ceramicCoating' && !hasClean('applicator', job, 'wheel'))
    return {
      reason: message('reasons.notToday.noWheelApplicator'),
      fix: message('reasons.notToday.addWheelApplicator'),
    }
  return hasCloth(job)
    ? null
    : { reason: message('reasons.notToday.noTowel'), fix: message('reasons.notToday.addTowels') }
}

/** A product that may not go on, and why not. */
interface Refusal {
  readonly product: Product
  readonly judgement: Judgement
  readonly lack: Omit<RefusedProtection, 'productName'> | null
}

/** The first choice with its reason; where all were refused, the reason they share: fixing another would bring nothing. */
function firstOf(refusals: readonly Refusal[]): RefusedProtection | null {
  const [first] = refusals
  if (!first) return null
  const { product, judgement, lack } = first
  if (lack) return { productName: product.name, ...lack }
  const against = ({ judgement: { rules } }: Refusal) => rules.filter(({ verdict }) => verdict === 'no')
  const shared = against(first).find(({ id }) =>
    refusals.every((one) => against(one).some((rule) => rule.id === id)),
  )
  return { productName: product.name, reason: (shared ?? judgement.rules[0])?.reason ?? '', fix: null }
}

function firstAllowed(
  wanted: Wanted,
  zones: readonly Zone[],
  corner: Corner,
  job: Job,
  stays: Soil | null = null,
): ProtectionPick {
  const sites = sitesOf({ corners: [corner], zones }, job)
  const refusals: Refusal[] = []
  for (const [kind, why] of pinnedFirst(wanted, job))
    for (const product of productsOf(kind, job)) {
      const judgement = judgePlaces(rulesAbout({ product }), sites)
      const lack = lackOf(product, job, stays)
      if (judgement.verdict !== 'no' && !lack)
        return { choice: { product, kind, why, judgement, method: null }, refused: firstOf(refusals) }
      refusals.push({ product, judgement, lack: judgement.verdict === 'no' ? null : lack })
    }
  return { choice: null, refused: firstOf(refusals) }
}

/** Only what is sprayed on gets to a wheel behind another; on a motorcycle the spray gets to the discs. */
function within(wanted: Wanted, corner: Corner, job: Job): Wanted {
  if (!isHere('face', corner, job)) return wanted.filter(([kind]) => kind === 'sprayRinseSilica')
  return job.vehicleKind === 'motorcycle' ? wanted.filter(([kind]) => kind !== 'sprayRinseSilica') : wanted
}

/**
 * Protection of the wheel; none when the cabinet has none that fits. Brakes are never protected.
 * @param stays a soil that does not all come off this wheel today
 */
export function chooseWheelProtection(corner: Corner, job: Job, stays: Soil | null = null): ProtectionPick {
  const { wanted, method } = preferences(corner, job)
  const { choice, refused } = firstAllowed(within(wanted, corner, job), protectedZones, corner, job, stays)
  return {
    choice: choice && { ...choice, method: method && sayMethod(method, job.methods) },
    refused,
  }
}

/** Air from which a solvent-based dressing dries rubber out and slings, °C. House estimate. */
const hotAirCelsius = 30

/** Dressing of the tyre; none where a rule forbids it, a tyre coating is on, or the cabinet has none. */
export function chooseDressing(corner: Corner, job: Job): ProtectionPick {
  const isCoated = corner.protection.includes('tyreCoating') && services[job.service].protection !== 'coat'
  if (isCoated || !isHere('tyre', corner, job)) return { choice: null, refused: null }
  const water = ['tyreDressingWater', message('reasons.protection.water')] as const
  const solvent = ['tyreDressingSolvent', message('reasons.protection.solvent')] as const
  const coating = ['tyreCoating', message('reasons.protection.tyreCoating')] as const
  const hot = job.conditions.airCelsius >= hotAirCelsius
  const matteBeside = hasMatte(corner)
  const glossy = job.methods.dressing === 'solvent' && !hot && !matteBeside
  const dressings = glossy ? [solvent, water] : [water, solvent]
  const wanted = services[job.service].protection === 'coat' ? [coating, ...dressings] : dressings
  const { choice, refused } = firstAllowed(wanted, ['tyre'], corner, job)
  // What keeps a coating off says nothing of why the tyre is not even dressed.
  if (!choice) return { choice, refused: firstAllowed(dressings, ['tyre'], corner, job).refused ?? refused }
  const against = job.methods.dressing === 'solvent' && choice.kind === 'tyreDressingWater'
  const why = against
    ? sentences(
        choice.why,
        message(hot ? 'reasons.protection.notSolventHeat' : 'reasons.protection.notSolventMatte'),
      )
    : choice.why
  const method = choice.kind === 'tyreCoating' || against ? null : sayMethod('dressing', job.methods)
  return { choice: { ...choice, why, method }, refused }
}
