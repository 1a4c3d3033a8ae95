import type { Delivery } from '@/core/chemistry/family'
import { familyOf, type FamilyId } from '@/core/chemistry/families'
import type { Product } from '@/core/chemistry/product'
import { estimate, type EstimateId, type EstimateOverrides } from '@/core/estimates/houseEstimates'
import { worstGrade, type ZoneLoads } from '@/core/soils/zoneLoads'
import { wheelAreas, type WheelGeometry } from '@/core/wheel-geometry'
import { wheelZones, type Zone } from '@/core/wheel/zone'

/** What is laid down, and how. */
export type Laid = Pick<Product, 'family' | 'delivery'>

/** A wheel with what is on it; without loads, a wheel that is dirty all over. */
export interface LaidOn {
  readonly wheel: WheelGeometry
  readonly loads?: ZoneLoads
}

const coverageIds: Record<Exclude<Delivery, 'bucket'>, EstimateId> = {
  trigger: 'coverageTrigger',
  pumpFoamer: 'coveragePumpFoamer',
  lance: 'coverageLance',
  brush: 'coverageBrush',
  cloth: 'coverageCloth',
}

function coverageOf({ family: id, delivery }: Laid, overrides: EstimateOverrides): number {
  const family = familyOf(id)
  if (family.purpose === 'protect' && family.onWet) return estimate('coverageSprayRinse', overrides)
  if (id === 'ceramicCoating') return estimate('coverageCoating', overrides)
  return delivery === 'bucket' ? 0 : estimate(coverageIds[delivery], overrides)
}

/** Area of some zones of a wheel, m². Small parts (lugs, cap, valve, lip) lie within the face. */
export function zonesAreaM2(wheel: WheelGeometry, zones: readonly Zone[]): number {
  const areas = wheelAreas(wheel)
  const of: Partial<Record<Zone, number>> = {
    arch: areas.archM2,
    tyre: areas.sidewallM2,
    face: areas.faceM2,
    windows: areas.windowsM2,
    spokeBacks: areas.spokeBacksM2,
    barrel: areas.barrelM2,
  }
  return zones.reduce((sum, zone) => sum + (of[zone] ?? 0), 0)
}

/** Hands lay down by habit: a small wheel gets more than its area asks for, a large one not all of it. m². House estimate. */
const habit = {
  wheel: { least: 0.5, most: 0.9 },
  tyre: { least: 0.15, most: 0.25 },
  arch: { least: 0.25, most: 0.4 },
} as const

const within = (value: number, { least, most }: { readonly least: number; readonly most: number }): number =>
  Math.min(most, Math.max(least, value))

/** Area that is laid over: with what goes through the open face, between what hands usually do, m². */
function laidAreaM2(wheel: WheelGeometry, zones: readonly Zone[], overrides: EstimateOverrides): number {
  if (zones.length > 0 && zones.every((zone) => zone === 'arch'))
    return within(zonesAreaM2(wheel, zones), habit.arch)
  if (zones.length > 0 && zones.every((zone) => zone === 'tyre'))
    return within(zonesAreaM2(wheel, zones), habit.tyre)
  const area = zonesAreaM2(wheel, zones) * (1 + estimate('openWheelWaste', overrides) * wheel.openness)
  return zones.includes('face') ? within(area, habit.wheel) : Math.min(area, habit.wheel.most)
}

/** Zones in which bonded dust asks for half of the wheel only: the barrel's side, and the feet of the spokes. */
const dustSide: readonly Zone[] = ['barrel', 'spokeBacks', 'lugSeats', 'windows']

/** Solvent is dabbed where the lumps are: by the worst grade of tar, ml a wheel. */
function tarMillilitres(loads: ZoneLoads, zones: readonly Zone[], overrides: EstimateOverrides): number {
  const few = estimate('tarFewMillilitres', overrides)
  const peppered = estimate('tarPepperedMillilitres', overrides)
  const byGrade = [0, few * 0.75, few * 1.25, (few + peppered) / 2, peppered]
  return byGrade[worstGrade([{ loads }], zones, 'tar')] ?? 0
}

const ironRemovers: readonly FamilyId[] = ['ironRemover', 'ironClayLubricant', 'ironTarRemover']

/** Whether an iron remover is wanted behind the face alone: half of what the whole wheel gets. */
export function isDustBehind(
  { family }: Pick<Laid, 'family'>,
  loads: ZoneLoads,
  zones: readonly Zone[],
): boolean {
  const dusty = wheelZones.filter((zone) => zones.includes(zone) && (loads[zone]?.bondedDust ?? 0) > 0)
  return ironRemovers.includes(family) && dusty.length > 0 && dusty.every((zone) => dustSide.includes(zone))
}

/**
 * Working mix for one round on one wheel, millilitres: laid area × coverage; solvents by their lumps, iron removers by
 * half where only the barrel's side carries dust. A bucket is mixed once, so nothing by the wheel.
 */
export function millilitresAtCorner(
  laid: Laid,
  { wheel, loads }: LaidOn,
  zones: readonly Zone[],
  overrides: EstimateOverrides,
): number {
  if (laid.delivery === 'bucket') return 0
  if (loads && laid.family === 'tarRemover') return tarMillilitres(loads, zones, overrides)
  const share = loads && isDustBehind(laid, loads, zones) ? 0.5 : 1
  return laidAreaM2(wheel, zones, overrides) * coverageOf(laid, overrides) * share
}
