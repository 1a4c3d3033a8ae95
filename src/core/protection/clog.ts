import { millisecondsPerDay, type Seasons } from './seasons'
import type { WearEstimates, WornWash } from './record'

const daysPerWeek = 7

/**
 * What film and minerals hide of a layer at an instant, 0 to 1: it grows by the week, faster in winter, an ordinary wash leaves a
 * part of it and a reviving one nothing. A look is told after the wash of its time.
 * @param washes of the set, in order of time
 */
export function clogAt(
  at: number,
  appliedAt: number,
  washes: readonly WornWash[],
  seasons: Seasons,
  { clogPerWeek, clogWinterPerWeek, clogLeftByWash, clogMost }: WearEstimates,
): number {
  let clog = 0
  let from = appliedAt
  const grow = (until: number): void => {
    const winter = seasons.winterDays(until) - seasons.winterDays(from)
    const others = (until - from) / millisecondsPerDay - winter
    clog = Math.min(clogMost, clog + (winter * clogWinterPerWeek + others * clogPerWeek) / daysPerWeek)
    from = until
  }
  for (const wash of washes) {
    const time = wash.at.getTime()
    if (time <= appliedAt) continue
    if (time > at) break
    grow(time)
    clog *= wash.reviving ? 0 : clogLeftByWash
  }
  grow(at)
  return clog
}
