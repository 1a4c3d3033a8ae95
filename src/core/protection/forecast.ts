import { exp } from '@/core/quantity/portableMath'
import { calibrate, type Calibration } from './calibrate'
import { farthestDays } from './wear'
import { followSet, recordsOf, type Followed, type FollowedSet, type Following } from './followed'
import { shopCovariance } from './information'
import { learnFrom, type Learnt, type Start } from './learn'
import { alongUse, outlooksOf, spreadOfUse, type LayerOutlook } from './outlook'
import type { ShopRecord, WearEstimates, WornProduct } from './record'
import { millisecondsPerDay, seasonsOf } from './seasons'
import type { LayerValues } from './unknowns'
import { usedBy, wearingOf } from './used'

/** A middle value, and what it lies between in eight of ten cases. */
export interface Band {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

export interface LayerForecast {
  readonly id: string
  /** Share of life used now, in the middle. */
  readonly usedShare: number
  /** Days from now; below zero is past. */
  readonly topUpDays: Band
  readonly renewDays: Band
}

export interface ProductForecast {
  readonly id: string
  readonly lifeMultiplier: Band
}

export interface ShopForecast {
  readonly calibration: Calibration
  readonly layers: readonly LayerForecast[]
  readonly products: readonly ProductForecast[]
}

/** Shares of life at which a light coat renews it, and at which it is gone. */
export const dueShares = { topUp: 0.75, renew: 1 } as const
/** Spreads from the middle to the 10th and the 90th of a hundred. */
export const tenth = 1.2815515655
/** Days are found to so little. */
const nearEnoughDays = 0.02
const maxTurns = 60

/** The instant at which a share of a layer's life is used, never later than what anybody plans. */
export function instantOfUse(
  { exposure }: Followed,
  values: LayerValues,
  share: number,
  now: number,
): number {
  const wearing = wearingOf(values)
  const used = (at: number): number => usedBy(exposure.wearAt(at), wearing) - share
  let [low, high] = [exposure.appliedAt, now + farthestDays * millisecondsPerDay]
  if (used(now) < 0) low = now
  else high = now
  let [atLow, atHigh] = [used(low), used(high)]
  if (atHigh < 0) return high
  // Illinois: a secant that keeps the zero between its ends.
  for (let turn = 0; turn < maxTurns && high - low > nearEnoughDays * millisecondsPerDay; turn += 1) {
    const at = turn % 4 === 3 ? (low + high) / 2 : low + ((high - low) * -atLow) / (atHigh - atLow)
    const here = used(at)
    if (Math.abs(here) < 1e-7) return at
    if (here < 0) {
      ;[low, atLow] = [at, here]
      atHigh /= 2
    } else {
      ;[high, atHigh] = [at, here]
      atLow /= 2
    }
  }
  return (low + high) / 2
}

const rounded = (days: number): number => Math.round(days * 10) / 10

/**
 * The days of a share of life: the middle, and both ends along the direction in which the date moves most for what is not known.
 * @param widen what the spread is multiplied with, from the shop's own past
 */
export function bandOf(
  one: Followed,
  { values, covariance }: LayerOutlook,
  share: number,
  now: number,
  widen: number,
): Band {
  const middle = instantOfUse(one, values, share, now)
  const wear = one.exposure.wearAt(middle)
  const along = alongUse(wear, { values, covariance })
  const spread = spreadOfUse(wear, { values, covariance })
  const end = (spreads: number): number => {
    const [a = 0, b = 0, c = 0] = along.map((value) => (spreads * widen * value) / Math.max(1e-9, spread))
    const moved = {
      ...values,
      sooner: values.sooner + a,
      changed: values.changed + b,
      harsher: values.harsher + c,
    }
    return instantOfUse(one, moved, share, now)
  }
  const [p10, p90] = [end(tenth), end(-tenth)]
  const days = (at: number): number => rounded((at - now) / millisecondsPerDay)
  return { p10: days(Math.min(p10, middle)), p50: days(middle), p90: days(Math.max(p90, middle)) }
}

/** Everything a forecast is made from and with; kept, so that the next change costs only its own set. */
export interface Forecasting {
  readonly following: Following
  readonly sets: readonly FollowedSet[]
  readonly learnt: Start
}

export function followingOf(
  now: Date,
  estimates: WearEstimates,
  products: readonly WornProduct[],
): Following {
  return {
    now: now.getTime(),
    estimates,
    seasons: seasonsOf(estimates),
    products: new Map(products.map((product) => [product.id, product])),
  }
}

/** Follows and learns from a whole record. */
export function forecastingOf(record: ShopRecord): Forecasting {
  const following = followingOf(record.now, record.estimates, record.products)
  const sets = recordsOf(record).map((one) => followSet(one, following))
  return { following, sets, learnt: learnFrom(sets, record.products, record.estimates) }
}

/** The forecast of every layer of a set that is still on. */
export function forecastSet(
  { record, layers }: FollowedSet,
  learnt: Learnt,
  now: number,
  widen: number,
): LayerForecast[] {
  const setAt = learnt.unknowns.setAt.get(record.set.id) ?? 0
  const live = layers.filter(({ layer }) => layer.endedAt === null)
  return outlooksOf(live, setAt, learnt).flatMap((outlook, at) => {
    const one = live[at]
    if (!one) return []
    const used = usedBy(one.exposure.wearAt(now), wearingOf(outlook.values))
    return [
      {
        id: one.layer.id,
        usedShare: Math.round(used * 1000) / 1000,
        topUpDays: bandOf(one, outlook, dueShares.topUp, now, widen),
        renewDays: bandOf(one, outlook, dueShares.renew, now, widen),
      },
    ]
  })
}

/** How long a product lasts against its kind. */
export function forecastProduct(
  { id }: WornProduct,
  { unknowns, values, covariance }: Learnt,
): ProductForecast {
  const at = unknowns.productAt.get(id) ?? 0
  const spread = Math.sqrt(Math.max(0, shopCovariance(covariance, at, at)))
  const times = (spreads: number): number =>
    Math.round(exp((values.ofShop[at] ?? 0) + spreads * spread) * 1000) / 1000
  return { id, lifeMultiplier: { p10: times(-tenth), p50: times(0), p90: times(tenth) } }
}

/** The forecast of every layer that is still on, and how long each product lasts against its kind. */
export function forecastShop(record: ShopRecord): ShopForecast {
  const { following, sets, learnt } = forecastingOf(record)
  const calibration = calibrate(
    sets.map((set) => set.record),
    record.products,
    following,
  )
  return {
    calibration,
    layers: sets.flatMap((set) => forecastSet(set, learnt.held, following.now, calibration.widen)),
    products: record.products.map((product) => forecastProduct(product, learnt.held)),
  }
}
