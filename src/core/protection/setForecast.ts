import { clogStateOf, type ClogState } from './clogState'
import type { Followed, FollowedSet } from './followed'
import { bandOf, dueShares, type Band } from './forecast'
import type { Learnt } from './learn'
import { outlookOf, type LayerOutlook } from './outlook'
import { millisecondsPerDay } from './seasons'
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
  /** What it was made with. */
  readonly from: FollowedSet
  readonly outlooks: readonly LayerOutlook[]
  readonly widen: number
}

/** Where what is known has moved by less, nobody sees it in a date. */
const unseen = 1e-3

const isNear = (one: LayerOutlook, other: LayerOutlook | undefined): boolean =>
  other !== undefined &&
  (['sooner', 'changed', 'harsher'] as const).every(
    (value) => Math.abs(one.values[value] - other.values[value]) < unseen,
  ) &&
  one.covariance.every((row, i) =>
    row.every((value, j) => Math.abs(value - (other.covariance[i]?.[j] ?? 0)) < unseen / 5),
  )

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
  learnt: Learnt,
  now: number,
  widen: number,
  before?: SetForecast,
): SetForecast {
  const setAt = learnt.unknowns.setAt.get(set.record.set.id) ?? 0
  const live = set.layers.filter(({ layer }) => layer.endedAt === null)
  const outlooks = live.map((one) => outlookOf(one, setAt, learnt))
  if (
    before?.from === set &&
    before.widen === widen &&
    outlooks.every((outlook, at) => isNear(outlook, before.outlooks[at]))
  )
    return before
  return {
    from: set,
    outlooks,
    widen,
    layers: live.flatMap((one, at) => {
      const outlook = outlooks[at]
      return outlook ? [forecastLayer(one, outlook, now, widen)] : []
    }),
  }
}
