import type { Delivery } from '@/core/chemistry/family'
import { familyOf } from '@/core/chemistry/families'
import { ratingOf, type Product } from '@/core/chemistry/product'
import type { Corner } from '@/core/job/job'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { StageKind } from '@/core/acts/stageKind'
import type { Zone } from '@/core/wheel/zone'
import { amountAt, wheelSoils } from './need'
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
      : corners.filter((corner) =>
          soils.some((soil) => zones.some((zone) => amountAt({ corners: [corner] }, zone, soil) > 0)),
        )
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

/** What hands work in one go: what one sees from in front, and what lies behind the spokes. */
const sides: readonly (readonly Zone[])[] = [
  ['face', 'lip', 'windows', 'lugSeats', 'cap', 'valve'],
  ['barrel', 'spokeBacks', 'windows', 'caliper'],
]

/** Acid goes to the side of the wheel that has what it is for; over a coating all round, whose water it brings back. */
function acidZones(product: Product, corners: readonly Corner[], zones: readonly Zone[]): readonly Zone[] {
  if (corners.some(({ protection }) => protection.includes('ceramicCoating'))) return zones
  const soils = wheelSoils.filter((soil) => ratingOf(product, soil) > 1)
  const has = (zone: Zone): boolean => soils.some((soil) => amountAt({ corners }, zone, soil) > 0)
  const mine = sides.filter((side) => zones.some((zone) => side.includes(zone) && has(zone)))
  return zones.filter((zone) => mine.some((side) => side.includes(zone)))
}

/** Zones of a group that a product is for: pure solvent goes on the lumps, acid where scale is, the rest is worked all over. */
export function zonesToTreat(
  product: Product,
  { corners, zones: worked, sprayedOnly }: WheelGroup,
): readonly Zone[] {
  const zones = reachesAs(product) !== null ? [...worked, ...sprayedOnly] : worked
  const role = roleOf(product.family)
  const isForLumps = role === 'tar' && ratingOf(product, 'bondedDust') === 0
  const lumps = (): readonly Zone[] => zones.filter((zone) => worstGrade(corners, [zone], 'tar') > 0)
  const marked = isForLumps ? lumps() : role === 'acid' ? acidZones(product, corners, zones) : zones
  return marked.length > 0 ? marked : zones
}
