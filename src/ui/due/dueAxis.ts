import { addMonths, startOfMonth } from 'date-fns'

const millisecondsPerDay = 86_400_000
/** What the axis shows, days from now. */
export const axisDays = { before: 21, after: 183 } as const

/** Where an instant stands on the axis of the coming months, 0 to 1; what is beyond stands at its end. */
export function placeOnAxis(at: Date, now: Date): number {
  const days = (at.getTime() - now.getTime()) / millisecondsPerDay
  return Math.min(1, Math.max(0, (days + axisDays.before) / (axisDays.before + axisDays.after)))
}

/** Nearer to now a month's name would lie on it, days. */
const nearestDays = 16

/** The beginnings of the months on the axis, but for one that is about to begin. */
export function monthsOnAxis(now: Date): Date[] {
  const months: Date[] = []
  for (let month = startOfMonth(addMonths(now, 1)); ; month = addMonths(month, 1)) {
    if (month.getTime() > now.getTime() + axisDays.after * millisecondsPerDay) return months
    if (month.getTime() > now.getTime() + nearestDays * millisecondsPerDay) months.push(month)
  }
}
