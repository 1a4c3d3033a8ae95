import type { DueAsked, DueMoment, DuePage, DueShop, LiveProtection, NamedDue, WeekDue } from '@/core/due'
import type { Database } from '@/data/database'
import { listFullBottles } from '@/data/queries/bottles'
import { countVisits } from '@/data/queries/due/dueFacts'
import { listMarks, listReminders } from '@/data/queries/due/dueMarks'
import { readSettings } from '@/data/queries/settings'
import { listTools } from '@/data/queries/tools'
import { lastWaterReading } from '@/data/queries/water'
import { askForecast } from '@/services/forecast'

const monthDays = 60

async function filterOf(
  database: Database,
  filter: { resinLitres: number; hardnessPpm: number; litresPerVisit: number } | null,
  filledAt: Date | null,
  now: Date,
): Promise<DueShop['filter']> {
  if (!filter) return null
  const reading = await lastWaterReading(database)
  const recent = await countVisits(database, new Date(now.getTime() - monthDays * 86_400_000))
  return {
    ...filter,
    filledAt,
    visitsSinceFilled: await countVisits(database, filledAt),
    visitsPerDay: recent / monthDays,
    lastAfterPpm: reading ? { at: reading.at, ppm: reading.afterPpm } : null,
  }
}

/** What the shop has beside its sets, and when it is; of one set only what can be that set's. */
async function dueMoment(database: Database, at: Date, ofShop: boolean): Promise<DueMoment> {
  const [marks, reminders, settings] = await Promise.all([
    listMarks(database),
    listReminders(database),
    readSettings(database),
  ])
  const overrides = settings.estimates
  if (!ofShop) return { beside: { tools: [], bottles: [], filter: null, reminders, marks }, overrides, at }
  const [tools, bottles, filter] = await Promise.all([
    listTools(database),
    listFullBottles(database),
    filterOf(database, settings.filter, marks.get('resin')?.doneAt ?? null, at),
  ])
  return { beside: { tools, bottles, filter, reminders, marks }, overrides, at }
}

/** Everything that falls due, the soonest first, of one set, or of all and the shop itself. */
export async function listDue(
  database: Database,
  at: Date,
  wheelSetId: string | null = null,
): Promise<readonly NamedDue[]> {
  if (wheelSetId === null) return askForecast(database, at, 'dueOfShop', await dueMoment(database, at, true))
  const moment = await dueMoment(database, at, false)
  return askForecast(database, at, 'dueOfSet', { ...moment, wheelSetId })
}

/** One open thing; undefined: it is not due any more. */
export async function findDue(database: Database, at: Date, key: string): Promise<NamedDue | undefined> {
  return askForecast(database, at, 'dueByKey', { ...(await dueMoment(database, at, true)), key })
}

/** What a day begins with, and at most so many rows of it. */
export async function weekDue(database: Database, at: Date, most: number): Promise<WeekDue> {
  return askForecast(database, at, 'dueOfWeek', { ...(await dueMoment(database, at, true)), most })
}

/** A part of everything that is due. */
export async function duePage(database: Database, at: Date, asked: DueAsked): Promise<DuePage> {
  return askForecast(database, at, 'duePage', { ...(await dueMoment(database, at, true)), asked })
}

/**
 * The protection on a set, wheel by wheel.
 * @param at the instant at which it is asked whether it is gone or still cures
 */
export async function liveProtection(
  database: Database,
  wheelSetId: string,
  now: Date,
  at: Date = now,
): Promise<LiveProtection[]> {
  return askForecast(database, now, 'liveProtection', { wheelSetId, at })
}
