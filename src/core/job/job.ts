import type { Product } from '@/core/chemistry/product'
import type { LanceFlow } from '@/core/dilution/foamLance'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { FinishState } from '@/core/rules/judge'
import type { Grade, Soil } from '@/core/soils/soil'
import type { Tool } from '@/core/tools/tool'
import type { WheelGeometry } from '@/core/wheel-geometry'
import type { Position, VehicleKind } from '@/core/wheel/position'
import type { FinishZone, Zone } from '@/core/wheel/zone'
import type { Schools } from './schools'

export type ZoneLoads = Partial<Record<Zone, Partial<Record<Soil, Grade>>>>

/** One wheel as it stands before the work. */
export interface Corner {
  readonly position: Position
  readonly wheel: WheelGeometry
  readonly finishes: Partial<Record<FinishZone, FinishState>>
  readonly loads: ZoneLoads
  /** Protection that is still on the wheel; empty for none or unknown. */
  readonly protection: readonly ProtectionKind[]
}

export interface Job {
  readonly vehicleName: string
  readonly vehicleKind: VehicleKind
  readonly wheelSetName: string
  readonly corners: readonly Corner[]
  readonly conditions: {
    readonly airCelsius: number
    /** Measured on the wheel; absent: taken as cool to the touch. */
    readonly surfaceCelsius?: number
    readonly exposure: 'shade' | 'partSun' | 'fullSun'
  }
  readonly crew: { readonly people: number }
  readonly cabinet: readonly Product[]
  readonly tools: readonly Tool[]
  readonly schools: Schools
  readonly equipment: {
    readonly smallestMeasureMillilitres: number
    readonly bucketLitres: number
    readonly lance: LanceFlow
  }
  readonly currency: string
}

/** Worst grade of a soil over some zones of some wheels. */
export function worstGrade(corners: readonly Corner[], zones: readonly Zone[], soil: Soil): Grade {
  const found = corners.flatMap((corner) => zones.map((zone) => corner.loads[zone]?.[soil] ?? 0))
  return found.reduce<Grade>((worst, grade) => (grade > worst ? grade : worst), 0)
}
