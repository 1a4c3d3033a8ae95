import { familyOf } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import type { Corner, Job } from '@/core/job/job'
import type { ProtectionKind } from '@/core/protection/kinds'
import { finishZones, type Zone } from '@/core/wheel/zone'
import { judgeOnWheels } from './chooseProduct'

export interface ProtectionChoice {
  readonly product: Product
  readonly kind: ProtectionKind
  readonly why: string
}

/** Kinds in the order of preference; the first that is in the cabinet and that the finish can stand is taken. */
function preferences(corner: Corner): readonly (readonly [ProtectionKind, string])[] {
  if (Object.values(corner.finishes).some((state) => state.finish === 'matte')) {
    return [['matteSealant', 'Made for matte; anything with gloss would leave patches.']]
  }
  if (corner.protection.includes('ceramicCoating')) {
    return [
      ['coatingTopper', 'Renews the coating that is on the wheel.'],
      ['sprayRinseSilica', 'A quick layer over the coating, straight on the wet wheel.'],
    ]
  }
  return [
    [
      'sprayRinseSilica',
      'Goes on the wet wheel and is rinsed at once: least time for weeks of easier washing.',
    ],
    ['spraySealant', 'Months of protection on the dry wheel.'],
    ['wheelWax', 'A thin coat on the dry wheel.'],
    ['quickDetailer', 'A little slickness until the next wash.'],
  ]
}

const inCabinet = (job: Job, kind: ProtectionKind): Product | undefined =>
  job.cabinet.find(({ family: id }) => {
    const family = familyOf(id)
    return family.purpose === 'protect' && family.protection === kind
  })

const firstAllowed = (
  wanted: readonly (readonly [ProtectionKind, string])[],
  zones: readonly Zone[],
  corner: Corner,
  job: Job,
): ProtectionChoice | null => {
  for (const [kind, why] of wanted) {
    const product = inCabinet(job, kind)
    if (product && judgeOnWheels(product, zones, [corner], job).verdict !== 'no')
      return { product, kind, why }
  }
  return null
}

/** Protection of the wheel; null when the cabinet has none that fits. Brakes are never protected. */
export const chooseWheelProtection = (corner: Corner, job: Job): ProtectionChoice | null =>
  firstAllowed(
    preferences(corner),
    finishZones.filter((zone) => zone !== 'caliper'),
    corner,
    job,
  )

/** Dressing of the tyre by the shop's school; null where a rule forbids it or the cabinet has none. */
export function chooseDressing(corner: Corner, job: Job): ProtectionChoice | null {
  const water = [
    'tyreDressingWater',
    'Your shop dresses water-based: satin, easy to clean, no sling when thin.',
  ] as const
  const solvent = [
    'tyreDressingSolvent',
    'Your shop dresses solvent-based: wet gloss that lasts longer.',
  ] as const
  return firstAllowed(
    job.schools.dressing === 'water' ? [water, solvent] : [solvent, water],
    ['tyre'],
    corner,
    job,
  )
}
