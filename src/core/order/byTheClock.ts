import type { Job } from '@/core/job/job'
import type { Plan, Shortfall } from '@/core/plan/plan'
import { sayTooFew } from '@/core/planning/tooFewMinutes'

/**
 * What of a plan stays undone, with the minutes allowed told by the clock: who works waits while products work, and two share the
 * work.
 */
export function shortfallsByTheClock(
  { wishes: { minutesAllowed }, corners }: Job,
  { shortfalls }: Plan,
  endSeconds: number,
): readonly Shortfall[] {
  if (minutesAllowed === undefined) return shortfalls
  const minutes = Math.round(endSeconds / 60)
  const isAboutMinutes = ({ text }: Shortfall): boolean => text.startsWith(sayTooFew(minutesAllowed))
  const others = shortfalls.filter((one) => !isAboutMinutes(one))
  if (minutes <= minutesAllowed) return others
  const known = shortfalls.find(isAboutMinutes)
  const text = sayTooFew(minutesAllowed, minutes)
  return known
    ? shortfalls.map((one) => (one === known ? { ...known, text } : one))
    : [
        ...shortfalls,
        {
          corners: corners.map(({ position }) => position),
          text,
          mend: `Some of it is waiting while products work. Allow ${minutes} minutes, or choose a lighter service.`,
        },
      ]
}
