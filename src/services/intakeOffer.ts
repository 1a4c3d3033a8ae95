import { differenceInCalendarDays } from 'date-fns'
import type { ZoneLoads } from '@/core/soils/zoneLoads'
import { offeredService, type ServiceId } from '@/core/services/service'
import { expectedLoads, withLeftovers, type SinceClean } from '@/core/soils/expectedLoad'
import type { Position } from '@/core/wheel/position'
import type { Queryable } from '@/data/database'
import { listLiveLayers } from '@/data/queries/protection'
import { isWinter } from '@/core/soils/winter'
import { lastLeftovers } from '@/data/queries/visits'
import { readSettings } from '@/data/queries/settings'
import type { WheelSet } from '@/data/queries/wheelSets'

/** What an intake starts from, worked out from the record; the person corrects it. */
export interface IntakeOffer {
  readonly service: ServiceId
  readonly since: SinceClean
  readonly lastVisitAt: Date | null
  readonly loads: readonly { readonly position: Position; readonly loads: ZoneLoads }[]
}

/** Wheels nobody has cleaned on record are taken as this long dirty, days. */
const firstVisitDays = 90

/** Expected load and the service to offer, from days, kilometres, brakes and season since the last visit. */
export async function intakeOffer(database: Queryable, set: WheelSet, now: Date): Promise<IntakeOffer> {
  const settings = await readSettings(database)
  const layers = await listLiveLayers(database, set.id)
  const month = now.getMonth() + 1
  const days = set.lastVisitAt ? Math.max(1, differenceInCalendarDays(now, set.lastVisitAt)) : firstVisitDays
  const leftovers = await lastLeftovers(database, set.id)
  const since: SinceClean = {
    kilometres: Math.round((set.kilometresPerWeek * days) / 7),
    days,
    brakes: set.brakes,
    winter: isWinter(month, settings.northern),
    dustFactor: set.dustFactor,
    browningFactor: set.browningFactor,
  }
  return {
    service: offeredService(
      set.lastVisitAt ? days : null,
      layers.some(({ kind }) => kind === 'ceramicCoating'),
      month,
      settings.northern,
    ),
    since,
    lastVisitAt: set.lastVisitAt,
    loads: set.wheels.map(({ position }) => ({
      position,
      loads: withLeftovers(
        expectedLoads(position, since, settings.estimates),
        leftovers.filter((one) => one.position === position),
      ),
    })),
  }
}
