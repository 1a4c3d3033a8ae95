'use server'

import { startOfDay } from '@/contracts/day'
import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import { succeed, type Result } from '@/core/result'
import type { TdsReading } from '@/contracts/devices'
import { dueKey, reminderInput, snoozeInput, waterInput } from '@/contracts/protection'
import { database } from '@/services/records'
import {
  addReminder,
  addWaterReading,
  calendarSecret,
  markDone,
  renewCalendarSecret,
  snooze,
  unmark,
} from '@/services/due'
import { readSettings } from '@/services/settings'
import { deviceAddresses, readTdsMeter, subscribe, type SubscribedEvent } from '@/services/devices'
import { action } from '../access'
import { ownOrigin } from '../ownOrigin'
import { answerOf, type Refusal } from '../refusal'

async function answered(work: () => Promise<Result<unknown>>): Promise<Refusal> {
  const answer = await answerOf(work)
  if (answer.problems.length === 0) revalidatePath('/', 'layout')
  return { problems: answer.problems }
}

/** Puts a due thing off. */
export const putOff = action('owner', [snoozeInput], async ({ key, until }) =>
  answered(async () => snooze(await database(), key, until, currentTime())),
)

/** Marks a due thing as done. */
export const tickOff = action('owner', [dueKey], async (key) =>
  answered(async () => markDone(await database(), key, currentTime())),
)

/** Removes a mark. */
export const bringBack = action('owner', [dueKey], async (key) =>
  answered(async () => succeed(await unmark(await database(), key, currentTime()))),
)

/** Gives the calendar a new address; the old one ends. */
export const renewCalendar = action('owner', [], async () =>
  answered(async () => {
    await renewCalendarSecret(await database())
    return succeed(undefined)
  }),
)

/** Lets the simulated calendar fetch the address, and gives what it got. */
export const trySubscription = action('owner', [], async (): Promise<Result<readonly SubscribedEvent[]>> => {
  const secret = await calendarSecret(await database())
  return subscribe(`${ownOrigin()}/api/calendar/${secret}.ics`)
})

/** Saves a reading of the water. */
export const keepWater = action('owner', [waterInput], async (reading) =>
  answered(async () => succeed(await addWaterReading(await database(), { ...reading, at: currentTime() }))),
)

/** Reads the meter for dissolved solids. */
export const askTdsMeter = action('owner', [], async (): Promise<Result<TdsReading>> => {
  const { filter } = await readSettings(await database())
  return readTdsMeter(deviceAddresses(ownOrigin()), filter?.hardnessPpm ?? 250)
})

/** Saves a reminder. */
export const keepReminder = action('owner', [reminderInput], async ({ requestId, dueOn, ...reminder }) =>
  answered(async () =>
    succeed(
      await addReminder(await database(), {
        ...reminder,
        id: requestId,
        dueDay: dueOn,
        dueOn: startOfDay(dueOn),
      }),
    ),
  ),
)
