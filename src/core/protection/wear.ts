import { countUpTo } from '@/core/quantity/inOrder'
import { courseOf, goneAt, type Course } from './course'
import { changedDays } from './unknowns'
import { millisecondsPerDay, type Seasons } from './seasons'
import type { KindLife, SetRecord, WearEstimates, WornLayer, WornSet, WornWash } from './record'

/** Beyond this nobody plans, days from now. */
export const farthestDays = 7 * 365

/** Share of a layer's life used up to an instant, with an ordinary set and product. */
export interface Wear {
  /** By days and kilometres, before driving may have changed and since. */
  readonly worn: number
  readonly wornSince: number
  /** Of these, what winter days took as such, without their kilometres. */
  readonly wintered: number
  readonly winteredSince: number
  /** By washes; neither set nor product changes it. */
  readonly washed: number
}

/** Share of life that each thing has taken, with an ordinary set and product. */
export interface WearParts {
  /** Days that are neither winter nor hot, and storage. */
  readonly days: number
  readonly winter: number
  readonly heat: number
  /** Kilometres and the brake dust they bring. */
  readonly road: number
  readonly washes: number
}

/** What has worked at a layer and will. */
export interface Exposure {
  wearAt(at: number): Wear
  partsAt(at: number): WearParts
  /** Share of life of a kilometre, and of a wash that takes all of a sealant. */
  readonly perKilometre: number
  readonly perWash: number
  readonly appliedAt: number
}

/** What all layers of a set share. */
export interface SetCourse {
  readonly course: Course
  readonly washTimes: Float64Array
  /** Wear of all washes up to each of them. */
  readonly washSums: Float64Array
  /** Wear of washes to come, for each day in use. */
  readonly washedPerDay: number
  readonly now: number
}

/** A wash that takes so much is a strip, not what the next washes will be like. House estimate. */
const rareWear = 0.3
/** So many days in use tell how often a set is washed. */
const fewestDays = 30

export function setCourse({ set, layers, washes }: SetRecord, seasons: Seasons, now: number): SetCourse {
  const first = Math.min(now, ...layers.map(({ appliedAt }) => appliedAt.getTime()), ...washesBegin(washes))
  const course = courseOf(set, seasons, first, now, now + farthestDays * millisecondsPerDay)
  let sum = 0
  return {
    course,
    washTimes: Float64Array.from(washes, ({ at }) => at.getTime()),
    washSums: Float64Array.from(washes, ({ wear }) => (sum += wear)),
    washedPerDay: washedPerDay(course, washes, now),
    now,
  }
}

const washesBegin = (washes: readonly WornWash[]): number[] =>
  washes.slice(0, 1).map(({ at }) => at.getTime())

/** The mean wear of a set's washes a day on which it is not stored. */
function washedPerDay(course: Course, washes: readonly WornWash[], now: number): number {
  const [first] = washes
  if (!first) return 0
  const days = goneAt(course, now).days - goneAt(course, first.at.getTime()).days
  return days < fewestDays
    ? 0
    : washes.reduce((sum, { wear }) => sum + (wear > rareWear ? 0 : wear), 0) / days
}

/** Share of life that a day, a winter day, a hot day, a day in storage and a kilometre take. */
function ratesOf(set: WornSet, layer: WornLayer, kind: KindLife, estimates: WearEstimates) {
  const life = layer.lifeFactor ?? 1
  const aDay = (set.climate ?? 1) / (kind.lifeDays * life)
  const dust =
    layer.axle === 'front' ? set.dustFactor : (set.rearDustFactor ?? set.dustFactor) * estimates.rearDustShare
  return {
    day: aDay,
    winterMore: aDay * (estimates.winterFactor - 1),
    winterDay: aDay * estimates.winterFactor,
    hotMore: aDay * ((kind.hotFactor ?? 1) - 1),
    storedDay: estimates.storedFactor / (kind.lifeDays * life),
    kilometre: dust / (kind.lifeKilometres * life),
    wash: kind.washFactor / life,
  }
}

/** What has worked at a layer; what a topper kept off does not count. */
export function exposureOf(
  shared: SetCourse,
  set: WornSet,
  layer: WornLayer,
  kind: KindLife,
  estimates: WearEstimates,
): Exposure {
  const rates = ratesOf(set, layer, kind, estimates)
  const { course, washTimes, washSums, washedPerDay: perDay, now } = shared
  const daysNow = goneAt(course, now).days
  const washedUpTo = (at: number, days: number): number =>
    rates.wash * ((washSums[countUpTo(washTimes, at) - 1] ?? 0) + perDay * Math.max(0, days - daysNow))
  /** From the beginning of the set's course: worn, wintered, washed. */
  const sums = (at: number): number[] => {
    const gone = goneAt(course, at)
    const worn =
      gone.days * rates.day +
      gone.winterDays * rates.winterMore +
      gone.hotDays * rates.hotMore +
      gone.storedDays * rates.storedDay +
      gone.kilometres * rates.kilometre
    return [worn, gone.winterDays * rates.winterDay, washedUpTo(at, gone.days)]
  }
  const parts = (at: number): number[] => {
    const gone = goneAt(course, at)
    return [
      (gone.days - gone.winterDays - gone.hotDays) * rates.day + gone.storedDays * rates.storedDay,
      gone.winterDays * rates.winterDay,
      gone.hotDays * (rates.day + rates.hotMore),
      gone.kilometres * rates.kilometre,
      washedUpTo(at, gone.days),
    ]
  }
  const upTo = uncovered(layer, 1 - (estimates.coveredFactor ?? 1))
  const appliedAt = layer.appliedAt.getTime()
  const turnAt = Math.max(appliedAt, now - changedDays * millisecondsPerDay)
  const [atFirst, atTurn] = [upTo(sums, appliedAt), upTo(sums, turnAt)]
  const [wornFirst = 0, winteredFirst = 0, washedFirst = 0] = atFirst
  return {
    appliedAt,
    wearAt: (at) => {
      const here = upTo(sums, at)
      const turn = at < turnAt ? here : atTurn
      const [worn = 0, wintered = 0] = turn
      return {
        worn: worn - wornFirst,
        wornSince: (here[0] ?? 0) - worn,
        wintered: wintered - winteredFirst,
        winteredSince: (here[1] ?? 0) - wintered,
        washed: (here[2] ?? 0) - washedFirst,
      }
    },
    partsAt: (at) => {
      const first = upTo(parts, appliedAt)
      const [days = 0, winter = 0, heat = 0, road = 0, washes = 0] = upTo(parts, at).map(
        (part, index) => part - (first[index] ?? 0),
      )
      return { days, winter, heat, road, washes }
    },
    perKilometre: rates.kilometre,
    perWash: rates.wash,
  }
}

type Sums = (at: number) => number[]

/** Sums less what a topper kept off. */
function uncovered({ covered = [] }: WornLayer, keptOff: number): (sums: Sums, at: number) => number[] {
  return (sums, at) => {
    const upTo = sums(at)
    for (const { from, to } of covered) {
      if (from.getTime() >= at) continue
      const begin = sums(from.getTime())
      const end = sums(Math.min(at, to?.getTime() ?? at))
      for (let part = 0; part < upTo.length; part += 1)
        upTo[part] = (upTo[part] ?? 0) - keptOff * ((end[part] ?? 0) - (begin[part] ?? 0))
    }
    return upTo
  }
}
