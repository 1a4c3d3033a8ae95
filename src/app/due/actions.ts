'use server'

import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import { succeed, type Result } from '@/core/result'
import type { TdsReading } from '@/contracts/devices'
import { parse } from '@/contracts/problems'
import { dueKey, reminderInput, snoozeInput, waterInput } from '@/contracts/protection'
import { database } from '@/data/connection'
import { calendarSecret, renewCalendarSecret } from '@/data/queries/calendarSecret'
import { addReminder, unmark } from '@/data/queries/dueMarks'
import { readSettings } from '@/data/queries/settings'
import { addWaterReading } from '@/data/queries/water'
import { deviceAddresses, readTdsMeter } from '@/services/devices/readDevices'
import { subscribe, type SubscribedEvent } from '@/services/devices/subscriber'
import { markDone, snooze } from '@/services/markDue'
import { ownOrigin } from '../ownOrigin'
import { answerOf, type Refusal } from '../refusal'

async function answered(work: () => ReturnType<typeof markDone>): Promise<Refusal> {
  const answer = await answerOf(work)
  if (answer.problems.length === 0) revalidatePath('/', 'layout')
  return { problems: answer.problems }
}

/** Puts a due thing off. */
export async function putOff(input: unknown): Promise<Refusal> {
  const read = parse(snoozeInput, input)
  if (!read.ok) return { problems: read.problems }
  return answered(async () => snooze(await database(), read.value.key, read.value.until, currentTime()))
}

/** Marks a due thing as done. */
export async function tickOff(input: unknown): Promise<Refusal> {
  const read = parse(dueKey, input)
  if (!read.ok) return { problems: read.problems }
  return answered(async () => markDone(await database(), read.value, currentTime()))
}

/** Takes a mark back. */
export async function bringBack(input: unknown): Promise<Refusal> {
  const read = parse(dueKey, input)
  if (!read.ok) return { problems: read.problems }
  return answered(async () => {
    await unmark(await database(), read.value, currentTime())
    return succeed(null)
  })
}

/** Gives the calendar a new address; the old one ends. */
export async function renewCalendar(): Promise<Refusal> {
  return answered(async () => {
    await renewCalendarSecret(await database())
    return succeed(null)
  })
}

/** Lets the simulated calendar fetch the address, and gives what it got. */
export async function trySubscription(): Promise<Result<readonly SubscribedEvent[]>> {
  const secret = await calendarSecret(await database())
  return subscribe(`${ownOrigin()}/api/calendar/${secret}.ics`)
}

/** Keeps a reading of the water. */
export async function keepWater(input: unknown): Promise<Refusal> {
  const read = parse(waterInput, input)
  if (!read.ok) return { problems: read.problems }
  return answered(async () => {
    await addWaterReading(await database(), { ...read.value, at: currentTime() })
    return succeed(null)
  })
}

/** Reads the meter for dissolved solids. */
export async function askTdsMeter(): Promise<Result<TdsReading>> {
  const { filter } = await readSettings(await database())
  return readTdsMeter(deviceAddresses(ownOrigin()), filter?.hardnessPpm ?? 250)
}

/** Keeps a reminder of one's own. */
export async function keepReminder(input: unknown): Promise<Refusal> {
  const read = parse(reminderInput, input)
  if (!read.ok) return { problems: read.problems }
  const { requestId, dueOn, ...reminder } = read.value
  return answered(async () => {
    await addReminder(await database(), {
      ...reminder,
      id: requestId,
      dueDay: dueOn,
      dueOn: new Date(`${dueOn}T00:00:00Z`),
    })
    return succeed(null)
  })
}
