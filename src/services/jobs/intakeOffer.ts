import { differenceInCalendarDays } from 'date-fns'
import { expectedIntake, type Offer } from '@/core/planning/expectedIntake'
import type { Queryable } from '@/data/database'
import { listLiveLayers } from '@/data/queries/protection'
import { readSettings } from '@/data/queries/settings'
import { lastLeftovers } from '@/data/queries/visits'
import type { WheelSet } from '@/data/queries/wheelSets'

/** What an intake starts from, with the visit it counts from. */
export interface IntakeOffer extends Offer {
  readonly lastVisitAt: Date | null
}

/** What an intake of a set starts from today; the person corrects it. */
export async function intakeOffer(database: Queryable, set: WheelSet, now: Date): Promise<IntakeOffer> {
  const { lastVisitAt } = set
  const record = {
    ...set,
    positions: set.wheels.map(({ position }) => position),
    daysSinceVisit: lastVisitAt ? Math.max(1, differenceInCalendarDays(now, lastVisitAt)) : null,
    liveProtection: (await listLiveLayers(database, set.id)).map(({ kind }) => kind),
    leftovers: await lastLeftovers(database, set.id),
  }
  return { ...expectedIntake(record, now.getMonth() + 1, await readSettings(database)), lastVisitAt }
}
