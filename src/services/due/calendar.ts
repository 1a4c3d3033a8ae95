import type { Database } from '@/data/database'
import { listOpenJobs } from '@/data/queries/jobs'
import { readSettings } from '@/data/queries/settings'
import { shopLanguage } from '@/i18n/shopLanguage'
import { inPool } from '@/pool/pool'
import { listDue } from './due'

/** Beyond this a calendar only fills up, days. */
const farthestDays = 400
/** A large shop has thousands: a phone's calendar takes the next ones, and the rest as it comes nearer. */
const maxDue = 1000
const day = 86_400_000

/** The shop's calendar: the next things that fall due and the jobs that have an hour. */
export async function shopCalendar(database: Database, now: Date): Promise<string> {
  const [{ shopName }, due, open] = await Promise.all([
    readSettings(database),
    listDue(database, now),
    listOpenJobs(database),
  ])
  const until = new Date(now.getTime() + farthestDays * day)
  return inPool('writeCalendar', {
    shopName,
    language: shopLanguage(),
    now,
    due: due.filter(({ at }) => at <= until).slice(0, maxDue),
    jobs: open.flatMap(({ id, vehicleName, wheelSetName, headline, operatorSeconds, plannedFor }) =>
      plannedFor ? [{ id, vehicleName, wheelSetName, headline, operatorSeconds, plannedFor }] : [],
    ),
  })
}
