import { message } from '@/core/message/message'
import ICAL from 'ical.js'
import { fail, succeed, type Result } from '@/core/result'
import { DeviceAnswer, fetchDevice } from './fetchDevice'

/** What a calendar that subscribed has got. */
export interface SubscribedEvent {
  readonly uid: string
  readonly summary: string
  readonly description: string
  readonly start: Date
  readonly allDay: boolean
  readonly alarms: number
}

/** A calendar of years is longer than what any device says. */
const limits = { milliseconds: 5000, bytes: 20_000_000 }

/** Reads a calendar's text with a library that did not write it. */
export function readCalendar(text: string): SubscribedEvent[] {
  const calendar = new ICAL.Component(ICAL.parse(text))
  return calendar.getAllSubcomponents('vevent').map((component): SubscribedEvent => {
    const event = new ICAL.Event(component)
    return {
      uid: event.uid,
      summary: event.summary,
      description: event.description,
      start: event.startDate.toJSDate(),
      allDay: event.startDate.isDate,
      alarms: component.getAllSubcomponents('valarm').length,
    }
  })
}

/** The simulated subscriber: fetches an address as a calendar program would, and shows what it got. */
export async function subscribe(address: string): Promise<Result<readonly SubscribedEvent[]>> {
  try {
    return succeed(readCalendar(await fetchDevice(address, limits)))
  } catch (error) {
    if (error instanceof DeviceAnswer)
      return fail({
        path: 'calendar',
        found: error.message,
        fix: message('problems.calendar.noCalendar'),
      })
    return fail({
      path: 'calendar',
      found: message('problems.calendar.nothing'),
      fix: message('problems.calendar.unreadable'),
    })
  }
}
