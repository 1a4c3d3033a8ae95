import { createHash } from 'node:crypto'
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventTransparency } from 'ical-generator'
import { message, type Said } from '@/core/message/message'
import { sayerOf, type Say } from '@/i18n/sayer'
import type { Language } from '@/i18n/language'
import { messagesOf } from '@/i18n/messagesOf'
import type { NamedDue } from '@/core/due'

const hour = 3_600_000
/** Before a planned job one looks at the wheels, seconds. */
const jobAlarmSeconds = 1800
/** In the morning of the day, seconds after midnight. */
const dayAlarmSeconds = 8 * 3600

/** The same for the same thing, whenever the calendar is fetched; nothing in it can be read back. */
const uidOf = (kind: string, key: string): string =>
  `${createHash('sha256').update(`${kind} ${key}`).digest('hex').slice(0, 40)}@even-spoke.invalid`

/** A day by the shop's clock, as the calendar library writes days: by UTC. */
const wholeDay = (at: Date): Date => new Date(Date.UTC(at.getFullYear(), at.getMonth(), at.getDate()))

const descriptionOf = ({ kind, why, band, sureness }: NamedDue, say: Say): string =>
  [
    say(message('due.reason', { kind: message(`due.kinds.${kind}`), why })),
    band ? say(message('due.calendar.range', { from: { day: band.from }, until: { day: band.until } })) : '',
    sureness === 'guess' ? say(message('due.calendar.rough')) : '',
  ]
    .filter(Boolean)
    .join(' ')

/** A job with its hour. */
export interface CalendarJob {
  readonly id: string
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly headline: Said
  readonly operatorSeconds: number
  readonly plannedFor: Date
}

export interface CalendarContents {
  readonly shopName: string
  readonly language: Language
  readonly now: Date
  readonly due: readonly NamedDue[]
  readonly jobs: readonly CalendarJob[]
}

/**
 * A calendar (RFC 5545): a whole day for everything that falls due, an hour for planned jobs. Instants are written in UTC, so that no
 * change of clocks moves them; days have no time zone at all.
 */
export function writeCalendar({ shopName, language, now, due, jobs }: CalendarContents): string {
  const say = sayerOf(language, messagesOf(language), now)
  const calendar = ical({
    name: say(message('due.calendar.name', { shop: shopName })),
    prodId: { company: 'even-spoke', product: 'due', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 3600,
  })
  for (const item of due) {
    // What is over stands on today, else nobody would see it.
    const on = wholeDay(item.at < now ? now : item.at)
    const what = say(item.what)
    const event = calendar.createEvent({
      id: uidOf(item.kind, item.key),
      start: on,
      end: new Date(on.getTime() + 24 * hour),
      allDay: true,
      stamp: now,
      summary: item.setName ? `${what}: ${item.vehicleName}, ${item.setName}` : what,
      description: descriptionOf(item, say),
      transparency: ICalEventTransparency.TRANSPARENT,
    })
    event.createAlarm({ type: ICalAlarmType.display, triggerAfter: dayAlarmSeconds, description: what })
  }
  for (const job of jobs) {
    const event = calendar.createEvent({
      id: uidOf('job', job.id),
      start: job.plannedFor,
      end: new Date(job.plannedFor.getTime() + job.operatorSeconds * 1000),
      stamp: now,
      summary: `${job.vehicleName}, ${job.wheelSetName}`,
      description: say(job.headline),
    })
    event.createAlarm({
      type: ICalAlarmType.display,
      trigger: jobAlarmSeconds,
      description: say(job.headline),
    })
  }
  return calendar.toString()
}
