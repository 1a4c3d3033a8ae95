import type { KindLife, ShopRecord, WearEstimates, WornLayer, WornSet, WornWash } from './record'

export const millisecondsPerDay = 86_400_000
/** Beyond this nobody plans, days. */
const farthestDays = 7 * 365

/**
 * What has worked at a layer, day by day from the day it was put on: `worn` scales with how hard the set is driven and how well the
 * product lasts, `washed` is what the washes took.
 */
export interface Exposure {
  /** Share of life used by days and kilometres up to a day, with an ordinary set and product. */
  worn(day: number): number
  /** The part of it that winter days took as such, without their kilometres. */
  wintered(day: number): number
  /** Share of life that the washes took up to a day. */
  washed(day: number): number
  /** Day of `now`, from the day it was put on. */
  readonly today: number
}

const isWinter = (at: number, { winterMonths }: WearEstimates): boolean =>
  winterMonths.includes(new Date(at).getUTCMonth() + 1)

/** Whether a set is in storage at an instant; in times to come by the season it is used in. */
function isStored(set: WornSet, at: number, now: number, estimates: WearEstimates): boolean {
  if (at > now && set.season) return (set.season === 'winter') !== isWinter(at, estimates)
  return set.stored.some(({ from, to }) => at >= from.getTime() && (to === null || at < to.getTime()))
}

/** Share of life that one day takes, and what of it is for the winter. */
function dailyWear(
  set: WornSet,
  { axle }: WornLayer,
  kind: KindLife,
  estimates: WearEstimates,
  stored: boolean,
  winter: boolean,
): { readonly wear: number; readonly winter: number } {
  if (stored) return { wear: estimates.storedFactor / kind.lifeDays, winter: 0 }
  const share = axle === 'front' ? 1 : estimates.rearDustShare
  const driven = ((set.kilometresPerWeek / 7) * set.dustFactor * share) / kind.lifeKilometres
  const season = (winter ? estimates.winterFactor : 1) / kind.lifeDays
  return { wear: season + driven, winter: winter ? season : 0 }
}

/** A wash that takes so much is a strip, not what the next washes will be like. House estimate. */
const rareWear = 0.3

/** The mean wear of a set's washes a day on which it is not stored. */
function washedADay(record: ShopRecord, set: WornSet, washes: readonly WornWash[]): number {
  const now = record.now.getTime()
  const [first] = washes
  if (!first) return 0
  let used = 0
  for (let at = first.at.getTime(); at < now; at += millisecondsPerDay)
    if (!isStored(set, at, now, record.estimates)) used += 1
  return used < 30 ? 0 : washes.reduce((sum, { wear }) => sum + (wear > rareWear ? 0 : wear), 0) / used
}

/** Works out the exposure of a layer, as far as it is asked for. */
export function exposureOf(
  record: ShopRecord,
  layer: WornLayer,
  set: WornSet,
  kind: KindLife,
  washes: readonly WornWash[],
): Exposure {
  const { estimates } = record
  const now = record.now.getTime()
  const applied = layer.appliedAt.getTime()
  const today = (now - applied) / millisecondsPerDay
  const perDay = washedADay(record, set, washes) * kind.washFactor
  const own = washes.filter(({ at }) => at.getTime() > applied)
  const worn: number[] = [0]
  const wintered: number[] = [0]
  const washed: number[] = [0]
  const reach = (days: number): void => {
    const until = Math.min(farthestDays + Math.ceil(today), days)
    for (let day = worn.length - 1; day < until; day += 1) {
      const at = applied + (day + 0.5) * millisecondsPerDay
      const stored = isStored(set, at, now, estimates)
      const { wear, winter } = dailyWear(set, layer, kind, estimates, stored, isWinter(at, estimates))
      worn.push((worn[day] ?? 0) + wear)
      wintered.push((wintered[day] ?? 0) + winter)
      const from = applied + day * millisecondsPerDay
      const told = own
        .filter((wash) => wash.at.getTime() > from && wash.at.getTime() <= from + millisecondsPerDay)
        .reduce((sum, wash) => sum + wash.wear * kind.washFactor, 0)
      const expected = at > now && !stored ? perDay : 0
      washed.push((washed[day] ?? 0) + told + expected)
    }
  }
  const between = (list: readonly number[], day: number): number => {
    const whole = Math.max(0, Math.floor(day))
    const [a, b] = [
      list[Math.min(whole, list.length - 1)] ?? 0,
      list[Math.min(whole + 1, list.length - 1)] ?? 0,
    ]
    return a + (b - a) * (day - whole)
  }
  return {
    today,
    worn: (day) => {
      reach(Math.ceil(day) + 1)
      return between(worn, day)
    },
    wintered: (day) => {
      reach(Math.ceil(day) + 1)
      return between(wintered, day)
    },
    washed: (day) => {
      reach(Math.ceil(day) + 1)
      return between(washed, day)
    },
  }
}
