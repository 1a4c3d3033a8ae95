/** What a route asks about what falls due, and when. */
export { shopCalendar } from './calendar'
export { duePage, findDue, listDue, liveProtection, weekDue } from './due'
export { markDone, snooze } from './markDue'
export type { WeekDue } from '@/core/due'
export { weekLoad } from './weekLoad'
export { calendarSecret, renewCalendarSecret } from '@/data/queries/due/calendarSecret'
export { addReminder, unmark } from '@/data/queries/due/dueMarks'
export { addWaterReading, lastWaterReading } from '@/data/queries/water'
