import { isPlannable, sitesOf } from '@/core/choice/option'
import { familyOf } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import { schoolText, type SchoolName } from '@/core/schools/schools'
import type { Corner, Job } from '@/core/job/job'
import type { ProtectionKind } from '@/core/protection/kinds'
import { judgePlaces, rulesAbout, type Judgement } from '@/core/rules/judge'
import { services } from '@/core/services/service'
import { finishZones, type Zone } from '@/core/wheel/zone'

export interface ProtectionChoice {
  readonly product: Product
  readonly kind: ProtectionKind
  readonly why: string
  readonly judgement: Judgement
  /** The shop setting that decided, if one did. */
  readonly school: string | null
}

type Wanted = readonly (readonly [ProtectionKind, string])[]

const layers: Wanted = [
  [
    'sprayRinseSilica',
    'Goes on the wet wheel and is rinsed at once: least time for weeks of easier washing.',
  ],
  ['spraySealant', 'Months of protection on the dry wheel.'],
  ['wheelWax', 'A thin coat on the dry wheel.'],
  ['sprayWax', 'A quick wax on the dry wheel.'],
  ['quickDetailer', 'A little slickness until the next wash.'],
]
const onCoating: Wanted = [
  ['coatingTopper', 'Renews the coating that is on the wheel.'],
  ['sprayRinseSilica', 'A quick layer over the coating, straight on the wet wheel.'],
]
const coat: Wanted = [
  ['ceramicCoating', 'On bare, degreased, dry wheels: years instead of weeks. Mind its cure time.'],
  ['spraySealant', 'Months of protection on the dry wheel.'],
]

const startWith = (kind: ProtectionKind, wanted: Wanted): Wanted =>
  [...wanted].sort((a, b) => Number(b[0] === kind) - Number(a[0] === kind))

/** Kinds in the order of preference; the first that is in the cabinet and that the finish can stand is taken. */
function preferences(
  corner: Corner,
  job: Job,
): { readonly wanted: Wanted; readonly school: SchoolName | null } {
  const { protection } = services[job.service]
  if (Object.values(corner.finishes).some((state) => state.finish === 'matte')) {
    return {
      wanted: [['matteSealant', 'Made for matte; anything with gloss would leave patches.']],
      school: null,
    }
  }
  const school = job.schools.protection === 'byRecord' ? null : 'protection'
  if (corner.protection.includes('ceramicCoating')) return { wanted: onCoating, school: null }
  if (protection === 'coat') return { wanted: [...coat, ...layers], school: null }
  if (protection === 'topUp') return { wanted: [...onCoating, ...layers], school: null }
  switch (job.schools.protection) {
    case 'wipeOn':
      return { wanted: startWith('spraySealant', layers), school }
    case 'coating':
      return { wanted: [...coat, ...layers], school }
    case 'sprayAndRinse':
      return { wanted: layers, school }
    case 'byRecord':
      // What is there already is topped up with its own kind.
      return { wanted: corner.protection.reduce((list, kind) => startWith(kind, list), layers), school }
  }
}

function firstAllowed(
  wanted: Wanted,
  zones: readonly Zone[],
  corner: Corner,
  job: Job,
): ProtectionChoice | null {
  const group = { corners: [corner], zones, tools: new Map(), mechanics: new Map() }
  for (const [kind, why] of wanted) {
    const product = job.cabinet.find((one) => {
      const family = familyOf(one.family)
      return isPlannable(one, job) && family.purpose === 'protect' && family.protection === kind
    })
    if (!product) continue
    const judgement = judgePlaces(rulesAbout({ product }), sitesOf(group, job))
    if (judgement.verdict !== 'no') return { product, kind, why, judgement, school: null }
  }
  return null
}

/** Protection of the wheel; null when the cabinet has none that fits. Brakes are never protected. */
export function chooseWheelProtection(corner: Corner, job: Job): ProtectionChoice | null {
  const { wanted, school } = preferences(corner, job)
  const choice = firstAllowed(
    wanted,
    finishZones.filter((zone) => zone !== 'caliper'),
    corner,
    job,
  )
  return choice && { ...choice, school: school && schoolText(school, job.schools) }
}

/** Air from which a solvent-based dressing dries rubber out and slings, °C. House estimate. */
const hotAirCelsius = 30

/** Dressing of the tyre; null where a rule forbids it, a tyre coating is on, or the cabinet has none. */
export function chooseDressing(corner: Corner, job: Job): ProtectionChoice | null {
  if (corner.protection.includes('tyreCoating')) return null
  const water = ['tyreDressingWater', 'Water-based: satin, easy to clean, no sling when thin.'] as const
  const solvent = ['tyreDressingSolvent', 'Solvent-based: wet gloss that lasts longer.'] as const
  const coating = [
    'tyreCoating',
    'A tyre coating while the rubber is bare: months, a second coat for more.',
  ] as const
  const hot = job.conditions.airCelsius >= hotAirCelsius
  const matteBeside = Object.values(corner.finishes).some(({ finish }) => finish === 'matte')
  const glossy = job.schools.dressing === 'solvent' && !hot && !matteBeside
  const wanted = [
    ...(services[job.service].protection === 'coat' ? [coating] : []),
    ...(glossy ? [solvent, water] : [water, solvent]),
  ]
  const choice = firstAllowed(wanted, ['tyre'], corner, job)
  if (!choice) return null
  const against = job.schools.dressing === 'solvent' && choice.kind === 'tyreDressingWater'
  const why = against
    ? `${choice.why} Not solvent-based today: ${hot ? 'in this heat it dries rubber out' : 'it smears on the matte beside it'}.`
    : choice.why
  return {
    ...choice,
    why,
    school: choice.kind === 'tyreCoating' || against ? null : schoolText('dressing', job.schools),
  }
}
