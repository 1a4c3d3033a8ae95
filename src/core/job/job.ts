import type { ZoneLoads } from '@/core/soils/zoneLoads'
import type { Product } from '@/core/chemistry/product'
import { hottestMeasured, type Conditions } from '@/core/conditions/conditions'
import type { LanceFlow } from '@/core/dilution/foamLance'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { FinishState } from '@/core/finishes/finishState'
import type { Paces } from '@/core/pace/paces'
import type { ServiceId } from '@/core/visit-kinds/service'
import type { Tool } from '@/core/tools/tool'
import type { TestSpot } from './testSpot'
import type { WheelGeometry } from '@/core/wheel-geometry'
import type { ArchLiner, Position, VehicleKind } from '@/core/wheel/position'
import type { FinishZone } from '@/core/wheel/zone'
import type { Methods } from '@/core/methods/methods'

/** One wheel as it stands before the work. */
export interface Corner {
  readonly position: Position
  readonly wheel: WheelGeometry
  readonly finishes: Partial<Record<FinishZone, FinishState>>
  readonly loads: ZoneLoads
  /** Protection that is still on the wheel; empty for none or unknown. */
  readonly protection: readonly ProtectionKind[]
  /** The newest protection still cures. */
  readonly curing: boolean
}

export const planNames = ['gentlest', 'balanced', 'fastest'] as const
export type PlanName = (typeof planNames)[number]

/** What the person wants beside a clean wheel. */
export interface Wishes {
  readonly prefer: PlanName
  /** Products that have to be used where the wheel can stand them, by id. */
  readonly pinned: readonly string[]
  /** Products that must not be used, by id. */
  readonly forbidden: readonly string[]
  /** Steps put to a time by hand, seconds from the start of the job. */
  readonly placed?: readonly { readonly stepId: string; readonly startSeconds: number }[]
  /** For the whole job, by the clock; absent: no limit. */
  readonly minutesAllowed?: number
  /** Product cost for the whole job in minor units; absent: no limit. */
  readonly costAllowedMinor?: number
}

export const noWishes: Wishes = { prefer: 'gentlest', pinned: [], forbidden: [] }

export interface Job {
  readonly vehicleName: string
  readonly vehicleKind: VehicleKind
  readonly archLiner: ArchLiner
  readonly wheelSetName: string
  readonly service: ServiceId
  readonly corners: readonly Corner[]
  readonly conditions: Conditions
  readonly crew: { readonly people: number }
  readonly cabinet: readonly Product[]
  readonly tools: readonly Tool[]
  readonly methods: Methods
  readonly wishes: Wishes
  readonly estimates: EstimateOverrides
  /** What the person's own logged times say against the house's hand times. */
  readonly pace: Paces
  /** What earlier test spots on these wheels showed; absent: none. */
  readonly testSpots?: readonly TestSpot[]
  readonly equipment: {
    readonly smallestMeasureMillilitres: number
    readonly bucketLitres: number
    readonly pressureBar: number
    readonly lance: LanceFlow
  }
  readonly currency: string
}

/** Minutes are shown rounded: what is shown as the minutes allowed fits them. */
const roundedAwaySeconds = 29

/** Hand time that the minutes allowed leave, two people twice as much; seconds. */
export const handSecondsAllowed = ({ wishes: { minutesAllowed }, crew }: Job): number =>
  minutesAllowed === undefined ? Infinity : (minutesAllowed * 60 + roundedAwaySeconds) * crew.people

/** Temperature of what is wetted: measured, else the air's. */
export const surfaceCelsiusOf = ({ conditions }: Job): number =>
  hottestMeasured(conditions) ?? conditions.airCelsius
