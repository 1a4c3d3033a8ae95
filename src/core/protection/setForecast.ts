import { clogStateOf, type ClogState } from './clogState'
import type { Followed, FollowedSet } from './followed'
import { bandOf, dueShares, type Band } from './forecast'
import { ownBlock } from './information'
import type { LearntWith } from './learn'
import { outlooksOf, type LayerOutlook } from './outlook'
import { millisecondsPerDay } from './seasons'
import type { Evidence } from './evidence'
import { usedBy, wearingOf } from './used'

/** A date as it is expected, and what it lies between in eight of ten cases. */
export interface DateBand {
  readonly p10: Date
  readonly p50: Date
  readonly p90: Date
}

/** What is expected of a layer that is on. */
export interface ForecastLayer {
  readonly id: string
  readonly usedShare: number
  readonly topUp: DateBand
  readonly renew: DateBand
  readonly clog: ClogState
  /** Looks at it. */
  readonly looks: number
}

export interface SetForecast {
  readonly layers: readonly ForecastLayer[]
  readonly outlooks: readonly LayerOutlook[]
  /** What it was made with. */
  readonly made: {
    readonly from: FollowedSet
    readonly told: Evidence | undefined
    /** The set's own block of information. */
    readonly own: Float64Array
    readonly ofShop: Float64Array
    readonly shop: Float64Array
    readonly widen: number
  }
}

/** Where what is known has moved by less, nobody sees it in a date. */
const unseen = 1e-3

const areNear = (one: Float64Array, other: Float64Array, most: number): boolean =>
  one.length === other.length && one.every((value, at) => Math.abs(value - (other[at] ?? 0)) <= most)

/** Whether a forecast would come out the same: neither the set nor what is known of it or of the shop has moved. */
const isSame = (one: SetForecast['made'], other: SetForecast['made']): boolean =>
  one.from === other.from &&
  one.told === other.told &&
  one.widen === other.widen &&
  areNear(one.own, other.own, 0) &&
  areNear(one.ofShop, other.ofShop, unseen) &&
  areNear(one.shop, other.shop, unseen / 5)

const datesOf = ({ p10, p50, p90 }: Band, now: number): DateBand => {
  const date = (days: number): Date => new Date(now + days * millisecondsPerDay)
  return { p10: date(p10), p50: date(p50), p90: date(p90) }
}

function forecastLayer(one: Followed, outlook: LayerOutlook, now: number, widen: number): ForecastLayer {
  return {
    id: one.layer.id,
    usedShare: usedBy(one.exposure.wearAt(now), wearingOf(outlook.values)),
    topUp: datesOf(bandOf(one, outlook, dueShares.topUp, now, widen), now),
    renew: datesOf(bandOf(one, outlook, dueShares.renew, now, widen), now),
    clog: clogStateOf(one, outlook.values),
    looks: one.looks.length,
  }
}

/** The forecast of a set's layers that are on; one made before stays where neither the set nor what is known of it has moved. */
export function setForecast(
  set: FollowedSet,
  learnt: LearntWith,
  now: number,
  widen: number,
  before?: SetForecast,
): SetForecast {
  const setAt = learnt.unknowns.setAt.get(set.record.set.id) ?? 0
  const made = {
    from: set,
    told: learnt.told.get(set),
    own: ownBlock(learnt.covariance, setAt),
    ofShop: learnt.values.ofShop,
    shop: learnt.covariance.shop,
    widen,
  }
  if (before && isSame(made, before.made)) return before
  const live = set.layers.filter(({ layer }) => layer.endedAt === null)
  const outlooks = outlooksOf(live, setAt, learnt)
  return {
    made,
    outlooks,
    layers: live.flatMap((one, at) => {
      const outlook = outlooks[at]
      return outlook ? [forecastLayer(one, outlook, now, widen)] : []
    }),
  }
}
