import { message } from '@/core/message/message'
import type { Job } from '@/core/job/job'
import type { Plan, Shortfall } from '@/core/plan/plan'
import { isTooFew, sayTooFew } from '@/core/planning/tooFewMinutes'

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
  const others = shortfalls.filter((one) => !isTooFew(one))
  if (minutes <= minutesAllowed) return others
  const known = shortfalls.find(isTooFew)
  const text = sayTooFew(minutesAllowed, endSeconds)
  return known
    ? shortfalls.map((one) => (one === known ? { ...known, text } : one))
    : [
        ...shortfalls,
        {
          corners: corners.map(({ position }) => position),
          text,
          fix: message('reasons.limits.waiting', { time: { seconds: endSeconds } }),
        },
      ]
}
