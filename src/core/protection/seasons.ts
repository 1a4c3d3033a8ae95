import { countUpTo } from '@/core/quantity/inOrder'
import type { WearEstimates } from './record'

export const millisecondsPerDay = 86_400_000

/** Which months count as winter and as hot, and when one begins or ends. */
export interface Seasons {
  isWinter(at: number): boolean
  isHot(at: number): boolean
  /** Instants at which it changes, in order, from one instant to another. */
  turns(from: number, until: number): Float64Array
  /** Days of winter since long before every record. */
  winterDays(at: number): number
}

/** Years that records and forecasts can lie in. */
const years = { first: 1970, last: 2150 } as const

/** Seasons by the calendar's months (UTC); valid from 1970 to 2150. */
export function seasonsOf({ winterMonths, hotMonths = [] }: WearEstimates): Seasons {
  const starts: { readonly at: number; readonly winter: boolean; readonly hot: boolean }[] = []
  for (let year = years.first; year <= years.last; year += 1)
    for (let month = 1; month <= 12; month += 1) {
      const [winter, hot] = [winterMonths.includes(month), hotMonths.includes(month)]
      const last = starts.at(-1)
      if (last?.winter !== winter || last.hot !== hot)
        starts.push({ at: Date.UTC(year, month - 1, 1), winter, hot })
    }
  const times = Float64Array.from(starts, ({ at }) => at)
  let sum = 0
  const winterSums = starts.map(({ winter }, index) => {
    const before = sum
    const end = starts[index + 1]?.at
    if (winter && end !== undefined) sum += (end - (starts[index]?.at ?? end)) / millisecondsPerDay
    return before
  })
  const placeOf = (at: number): number => Math.max(0, countUpTo(times, at) - 1)
  return {
    isWinter: (at) => starts[placeOf(at)]?.winter ?? false,
    isHot: (at) => starts[placeOf(at)]?.hot ?? false,
    turns: (from, until) => times.subarray(countUpTo(times, from), countUpTo(times, until)),
    winterDays: (at) => {
      const place = placeOf(at)
      const begun = starts[place]
      const since = begun?.winter ? (at - begun.at) / millisecondsPerDay : 0
      return (winterSums[place] ?? 0) + since
    },
  }
}
