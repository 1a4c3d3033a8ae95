import type { Delivery } from '@/core/chemistry/family'
import { familyOf } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import type { Corner } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { StageKind } from '@/core/work/stageKind'
import type { Zone } from '@/core/wheel/zone'
import { wheelSoils } from './need'
import { roleOf } from './role'
import type { WheelGroup } from './wheelGroup'

/** Kinds that go where the soil is; what washes is for all wheels. */
const spotKinds: readonly StageKind[] = ['iron', 'tar', 'mineral']

/** Wheels of a group that a stage of this kind is for: those with what it is there for, else all. */
export function cornersToTreat(
  kind: StageKind,
  product: Product,
  { corners, zones }: WheelGroup,
): readonly Corner[] {
  const soils = spotKinds.includes(kind) ? wheelSoils.filter((soil) => ratingOf(product, soil) > 1) : []
  const marked =
    soils.length === 0
      ? corners
      : corners.filter((corner) => soils.some((soil) => worstGrade([corner], zones, soil) > 0))
  return marked.length > 0 ? marked : corners
}

const sprayed: readonly Delivery[] = ['trigger', 'pumpFoamer', 'lance']

/** How a product gets where no hand does, off again with water: sprayed on, or as suds poured over; null where it does not. */
export function reachesAs({
  family: id,
  delivery,
}: Pick<Product, 'family' | 'delivery'>): 'sprayed' | 'soaked' | null {
  const family = familyOf(id)
  if (family.purpose !== 'clean' || family.needsDry || id === 'waterlessSpray') return null
  if (delivery === 'bucket') return 'soaked'
  return sprayed.includes(delivery) ? 'sprayed' : null
}

/** Zones of a group that a product is for: pure solvent goes on the lumps, the rest is worked all over. */
export function zonesToTreat(
  product: Product,
  { corners, zones: worked, sprayedOnly }: WheelGroup,
): readonly Zone[] {
  const zones = reachesAs(product) !== null ? [...worked, ...sprayedOnly] : worked
  const isForLumps = roleOf(product.family) === 'tar' && ratingOf(product, 'bondedDust') === 0
  const marked = isForLumps ? zones.filter((zone) => worstGrade(corners, [zone], 'tar') > 0) : zones
  return marked.length > 0 ? marked : zones
}
