import { message, type Message } from '@/core/message/message'
import { fail, succeed, type Result } from '@/core/result'
import type { DrivenSince } from './record'
import { millisecondsPerDay } from './seasons'

/** The odometer at an instant. */
export interface OdometerReading {
  readonly at: Date
  readonly kilometres: number
}

/** Readings nearer to each other say little about a week. */
const shortestSpanDays = 21

/** Readings far enough apart to tell kilometres a week; the last one always counts. */
function spaced(readings: readonly OdometerReading[]): OdometerReading[] {
  const kept: OdometerReading[] = []
  for (const reading of readings) {
    const last = kept.at(-1)
    if (!last || reading.at.getTime() - last.at.getTime() >= shortestSpanDays * millisecondsPerDay)
      kept.push(reading)
  }
  return kept
}

/**
 * How much a vehicle is driven, from what was told and, between two readings of the odometer, from those. After the last reading the
 * last stretch goes on, until somebody tells otherwise.
 * @param told in order of time; the first holds before it, too
 * @param readings in order of time
 */
export function drivenBy(
  told: readonly DrivenSince[],
  readings: readonly OdometerReading[],
): { readonly kilometresPerWeek: number; readonly driven: readonly DrivenSince[] } {
  const kept = spaced(readings)
  const stretches = kept.slice(1).map((to, index): DrivenSince => {
    const from = kept[index] ?? to
    const weeks = (to.at.getTime() - from.at.getTime()) / (7 * millisecondsPerDay)
    return { from: from.at, kilometresPerWeek: Math.max(0, to.kilometres - from.kilometres) / weeks }
  })
  const first = told[0]?.kilometresPerWeek ?? stretches[0]?.kilometresPerWeek ?? 0
  const [begin, end] = [kept[0]?.at, kept.at(-1)?.at]
  if (!begin || !end || stretches.length === 0) return { kilometresPerWeek: first, driven: told.slice(1) }
  return {
    kilometresPerWeek: first,
    driven: [
      ...told.slice(1).filter(({ from }) => from < begin),
      ...stretches,
      ...told.slice(1).filter(({ from }) => from > end),
    ],
  }
}

/** Nobody drives farther in a day. */
const maxKilometresPerDay = 2500

/** Whether a reading can be: an odometer only goes forward, and not by more than anybody drives. */
export function checkReading(
  { at, kilometres }: OdometerReading,
  readings: readonly OdometerReading[],
  now: Date,
): Result<null> {
  const refuse = (fix: Message) => fail({ path: 'kilometres', found: String(kilometres), fix })
  if (at > now)
    return fail({
      path: 'at',
      found: at.toISOString(),
      fix: message('measures.odometer.future'),
    })
  const before = readings.filter((one) => one.at <= at).at(-1)
  const after = readings.find((one) => one.at > at)
  if (before && kilometres < before.kilometres)
    return refuse(message('measures.odometer.back', { reading: { kilometres: before.kilometres } }))
  if (after && kilometres > after.kilometres)
    return refuse(message('measures.odometer.ahead', { reading: { kilometres: after.kilometres } }))
  if (before) {
    const days = Math.max(1, (at.getTime() - before.at.getTime()) / millisecondsPerDay)
    if ((kilometres - before.kilometres) / days > maxKilometresPerDay)
      return refuse(
        message('measures.odometer.tooFar', {
          perDay: { kilometres: (kilometres - before.kilometres) / days },
          reading: { kilometres: before.kilometres },
        }),
      )
  }
  return succeed(null)
}
