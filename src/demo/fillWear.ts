import { randomUUID } from 'node:crypto'
import type { Queryable } from '@/data/database'
import { addReading } from '@/data/queries/driving'
import { addReminder, mark } from '@/data/queries/due/dueMarks'
import { addTyreReading, addWheelChange } from '@/data/queries/wheelChanges'
import { findWheelSet } from '@/data/queries/wheelSets'
import type { DemoWear } from './readDemoFiles'

const millisecondsPerDay = 86_400_000
/** So long the record goes back, days. */
const pastDays = 730
const readingsEveryDays = 91

const ago = (now: Date, days: number): Date => new Date(now.getTime() - days * millisecondsPerDay)

/** The first of every month in which the season of a change turned, oldest first. */
function turnsOf(months: readonly number[], now: Date): { at: Date; isOn: boolean }[] {
  const turns: { at: Date; isOn: boolean }[] = []
  for (let month = new Date(Date.UTC(now.getUTCFullYear() - 2, now.getUTCMonth() + 1, 1, 9)); month < now;) {
    const number = month.getUTCMonth() + 1
    const isOn = months.includes(number)
    if (isOn !== months.includes(((number + 10) % 12) + 1)) turns.push({ at: new Date(month), isOn })
    month = new Date(Date.UTC(month.getUTCFullYear(), month.getUTCMonth() + 1, 1, 9))
  }
  return turns
}

/** Changes of wheels, odometers and reminders of the demo shop. */
export async function fillWear(
  database: Queryable,
  wear: DemoWear,
  ids: ReadonlyMap<string, string>,
  now: Date,
): Promise<void> {
  const setOf = async (key: string) => {
    const set = await findWheelSet(database, ids.get(key) ?? '00000000-0000-4000-8000-000000000000')
    if (!set) throw new Error(`wear.json names ${key}, which is not in wheel-sets.json`)
    return set
  }
  for (const { on, off, months, storedWhere } of wear.changes) {
    const [onSet, offSet] = [await setOf(on), await setOf(off)]
    for (const { at, isOn } of turnsOf(months, now)) {
      const mounted = isOn ? onSet : offSet
      await addWheelChange(database, onSet.vehicleId, {
        id: randomUUID(),
        at,
        mountedSetId: mounted.id,
        storedWhere,
        torqueNewtonMetres: 120,
      })
      await addTyreReading(database, mounted.id, at, isOn ? '3823' : '1124', isOn ? 6.5 : 5.5)
    }
  }
  for (const { set: key, daysAgo, torqueNewtonMetres } of wear.refitted) {
    const set = await setOf(key)
    await addWheelChange(database, set.vehicleId, {
      id: randomUUID(),
      at: ago(now, daysAgo),
      mountedSetId: set.id,
      storedWhere: '',
      torqueNewtonMetres,
    })
  }
  for (const { set: key, kilometres, perWeek } of wear.odometers) {
    const { vehicleId } = await setOf(key)
    let stands = kilometres
    for (let days = 0; days <= pastDays; days += readingsEveryDays) {
      await addReading(database, vehicleId, { at: ago(now, days), kilometres: Math.round(stands) })
      const isLate = days < pastDays / 4
      stands -= ((isLate ? perWeek.at(-1) : perWeek[0]) ?? 0) * (readingsEveryDays / 7)
    }
  }
  await mark(database, 'resin', null, { snoozedUntil: null, doneAt: ago(now, wear.resinFilledDaysAgo) })
  for (const { about, set, inDays } of wear.reminders) {
    const dueOn = ago(now, -inDays)
    await addReminder(database, {
      id: randomUUID(),
      wheelSetId: set === null ? null : (ids.get(set) ?? null),
      about,
      dueOn,
      dueDay: dueOn.toISOString().slice(0, 10),
      repeatDays: null,
    })
  }
}
