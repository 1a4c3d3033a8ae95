import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import type { ProtectionKind } from '@/core/protection/kinds'
import type { Leftover } from '@/core/run/leftover'
import { expectedLoads, withLeftovers, type SinceClean } from '@/core/soils/expectedLoad'
import { isWinter } from '@/core/soils/winter'
import type { ZoneLoads } from '@/core/soils/zoneLoads'
import { offeredService, type ServiceId } from '@/core/visit-kinds/service'
import type { Brakes } from '@/core/wheel/brakes'
import type { Position } from '@/core/wheel/position'

/** What is on record of a set when an intake begins. */
export interface IntakeRecord {
  readonly positions: readonly Position[]
  readonly brakes: Brakes
  readonly kilometresPerWeek: number
  readonly dustFactor: number
  readonly browningFactor: number
  /** Null: nobody has cleaned it on record. */
  readonly daysSinceVisit: number | null
  readonly liveProtection: readonly ProtectionKind[]
  /** What stayed on at the last visit. */
  readonly leftovers: readonly Leftover[]
}

/** What an intake starts from; the person corrects it. */
export interface Offer {
  readonly service: ServiceId
  readonly since: SinceClean
  readonly loads: readonly { readonly position: Position; readonly loads: ZoneLoads }[]
}

/** Wheels nobody has cleaned on record are taken as this long dirty, days. House estimate. */
const firstVisitDays = 90

/**
 * Expected load and the service to offer, from days, kilometres, brakes and season since the last visit.
 * @param month 1 to 12
 */
export function expectedIntake(
  record: IntakeRecord,
  month: number,
  { northern, estimates }: { readonly northern: boolean; readonly estimates: EstimateOverrides },
): Offer {
  const days = record.daysSinceVisit ?? firstVisitDays
  const since: SinceClean = {
    kilometres: Math.round((record.kilometresPerWeek * days) / 7),
    days,
    brakes: record.brakes,
    winter: isWinter(month, northern),
    dustFactor: record.dustFactor,
    browningFactor: record.browningFactor,
  }
  const isCoated = record.liveProtection.includes('ceramicCoating')
  return {
    service: offeredService(record.daysSinceVisit, isCoated, month, northern),
    since,
    loads: record.positions.map((position) => ({
      position,
      loads: withLeftovers(
        expectedLoads(position, since, estimates),
        record.leftovers.filter((one) => one.position === position),
      ),
    })),
  }
}
