import { countUpTo } from '@/core/quantity/inOrder'
import { millisecondsPerDay, type Seasons } from './seasons'
import type { WornSet } from './record'

/** What a set has gone through since its course begins. */
export interface Gone {
  /** Days in use. */
  days: number
  /** Of these, days of winter and of heat. */
  winterDays: number
  hotDays: number
  storedDays: number
  kilometres: number
}

/** What a set goes through, past and to come, added up; between two of its instants everything grows evenly. */
export interface Course {
  readonly times: Float64Array
  /** Five figures a time, in the order of `Gone`. */
  readonly sums: Float64Array
}

const figures = 5

/** Whether a set is in storage at an instant; in times to come by the season it is used in. */
function isStored(set: WornSet, at: number, now: number, seasons: Seasons): boolean {
  if (at > now && set.season) return (set.season === 'winter') !== seasons.isWinter(at)
  return set.stored.some(({ from, to }) => at >= from.getTime() && (to === null || at < to.getTime()))
}

function drivenAt({ driven = [], kilometresPerWeek }: WornSet, at: number): number {
  let perWeek = kilometresPerWeek
  for (const change of driven) if (change.from.getTime() <= at) perWeek = change.kilometresPerWeek
  return perWeek
}

const add = (sums: Float64Array, at: number, value: number): void => {
  sums[at] = (sums[at] ?? 0) + value
}

/** Adds up a set's course from one instant to another. */
export function courseOf(set: WornSet, seasons: Seasons, from: number, now: number, until: number): Course {
  const changes = [
    from,
    now,
    until,
    ...seasons.turns(from, until),
    ...set.stored.flatMap((period) => [period.from.getTime(), period.to?.getTime() ?? now]),
    ...(set.driven ?? []).map((change) => change.from.getTime()),
  ]
  const times = Float64Array.from([...new Set(changes)].filter((at) => at >= from && at <= until)).sort()
  const sums = new Float64Array(times.length * figures)
  for (let index = 1; index < times.length; index += 1) {
    const begin = times[index - 1] ?? 0
    const end = times[index] ?? 0
    const middle = (begin + end) / 2
    const days = (end - begin) / millisecondsPerDay
    const stored = isStored(set, middle, now, seasons)
    const row = index * figures
    sums.copyWithin(row, row - figures, row)
    if (stored) add(sums, row + 3, days)
    else {
      add(sums, row, days)
      if (seasons.isWinter(middle)) add(sums, row + 1, days)
      if (seasons.isHot(middle)) add(sums, row + 2, days)
      add(sums, row + 4, (days / 7) * drivenAt(set, middle))
    }
  }
  return { times, sums }
}

/** What a set has gone through up to an instant; nothing before its course, no more after it. */
export function goneAt({ times, sums }: Course, at: number): Gone {
  const after = Math.min(times.length - 1, Math.max(1, countUpTo(times, at)))
  const [begin, end] = [times[after - 1] ?? 0, times[after] ?? 0]
  const share = end > begin ? Math.min(1, Math.max(0, (at - begin) / (end - begin))) : 0
  const low = (after - 1) * figures
  return {
    days: between(sums, low, share),
    winterDays: between(sums, low + 1, share),
    hotDays: between(sums, low + 2, share),
    storedDays: between(sums, low + 3, share),
    kilometres: between(sums, low + 4, share),
  }
}

/** A figure part of the way from one row to the next. */
function between(sums: Float64Array, at: number, share: number): number {
  const from = sums[at] ?? 0
  return from + share * ((sums[at + figures] ?? 0) - from)
}
