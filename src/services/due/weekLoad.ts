import { serviceIds, services, type ServiceId } from '@/core/visit-kinds/service'
import type { Database } from '@/data/database'
import type { OpenJob } from '@/data/queries/jobs'
import { minutesByService } from '@/data/queries/visits'
import type { WeekDue } from '@/core/due'

/** Minutes of a day of the coming week: planned, and what would come on top if everything due were done. */
export interface DayLoad {
  readonly day: Date
  readonly plannedMinutes: number
  readonly dueMinutes: number
}

const days = 7
const millisecondsPerDay = 86_400_000

/** How long a visit takes here: the mean of the log, else the house's. */
const minutesOf = (service: ServiceId, own: ReadonlyMap<string, number>): number =>
  own.get(service) ?? services[service].usualMinutes

/**
 * The load of the coming seven days. What is planned without a day stands on today; visits for what is due are shared out to the days
 * that have least.
 */
export async function weekLoad(
  database: Database,
  jobs: readonly OpenJob[],
  visits: WeekDue['visits'],
  now: Date,
): Promise<DayLoad[]> {
  const own = await minutesByService(database, serviceIds)
  const today = new Date(now.getFullYear(), now.getMonth(), now.getDate())
  const dayOf = (at: Date | null): number =>
    at === null ? 0 : Math.max(0, Math.floor((at.getTime() - today.getTime()) / millisecondsPerDay))
  const planned = new Set(jobs.map(({ wheelSetId }) => wheelSetId))
  const minutes = visits
    .filter(({ wheelSetId }) => !planned.has(wheelSetId))
    .map(({ service }) => minutesOf(service, own))
  const load = Array.from({ length: days }, (_, index) => ({
    day: new Date(today.getFullYear(), today.getMonth(), today.getDate() + index),
    plannedMinutes: Math.round(
      jobs
        .filter(({ plannedFor }) => dayOf(plannedFor) === index)
        .reduce((sum, { operatorSeconds }) => sum + operatorSeconds / 60, 0),
    ),
    dueMinutes: 0,
  }))
  const total = ({ plannedMinutes, dueMinutes }: DayLoad): number => plannedMinutes + dueMinutes
  // The longest first, each on the day that has least.
  for (const visit of minutes.sort((a, b) => b - a)) {
    const lightest = load.reduce((least, one) => (total(one) < total(least) ? one : least))
    lightest.dueMinutes += Math.round(visit)
  }
  return load
}
