import { currentTime } from '@/clock'
import { format, isToday, parseISO } from 'date-fns'

/** A day as a date field writes it, by the clock of the device. */
export const localDay = (at: Date): string => format(at, 'yyyy-MM-dd')

/** The instant meant by a day: noon of it, or now where it is today; an empty field stays one. */
export function instantOfDay(day: string): string | undefined {
  const at = parseISO(`${day}T12:00`)
  if (Number.isNaN(at.getTime())) return undefined
  return (isToday(at) ? currentTime() : at).toISOString()
}
