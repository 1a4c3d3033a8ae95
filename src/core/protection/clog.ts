import { millisecondsPerDay } from './exposure'
import type { WearEstimates, WornLayer, WornWash } from './record'

const daysPerWeek = 7

/**
 * What film and minerals hide of a layer at an instant, 0 to 1: it grows by the week, faster in winter, an ordinary wash leaves a
 * part of it and a reviving one nothing.
 * @param washes of the set, in order of time
 */
export function clogAt(
  at: Date,
  layer: WornLayer,
  washes: readonly WornWash[],
  { clogPerWeek, clogWinterPerWeek, clogLeftByWash, clogMost, winterMonths }: WearEstimates,
): number {
  let clog = 0
  let from = layer.appliedAt.getTime()
  const grow = (until: number): void => {
    for (let day = from; day < until; day += millisecondsPerDay) {
      const isWinter = winterMonths.includes(new Date(day).getUTCMonth() + 1)
      const part = Math.min(1, (until - day) / millisecondsPerDay)
      clog = Math.min(clogMost, clog + (part * (isWinter ? clogWinterPerWeek : clogPerWeek)) / daysPerWeek)
    }
    from = Math.max(from, until)
  }
  for (const wash of washes) {
    const time = wash.at.getTime()
    if (time <= layer.appliedAt.getTime() || time > at.getTime()) continue
    grow(time)
    // A look is told before the wash of its day, unless it says otherwise.
    if (time <= at.getTime()) clog *= wash.reviving ? 0 : clogLeftByWash
  }
  grow(at.getTime())
  return clog
}
