import { exp } from '@/core/quantity/steady'
import { followed, type Followed } from './followed'
import { learnFrom, type Learnt } from './learn'
import type { ShopRecord } from './record'
import { layerSpots, valuesAt, type LayerValues } from './unknowns'
import { usedBy, wearUpTo } from './used'

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

export interface ShopForecast {
  readonly layers: readonly LayerForecast[]
  readonly products: readonly { readonly id: string; readonly lifeMultiplier: Band }[]
}

/** Shares of life at which a light coat renews it, and at which it is gone. */
export const dueShares = { topUp: 0.75, renew: 1 } as const
/** Spreads from the middle to the 10th and the 90th of a hundred. */
const tenth = 1.2815515655
/** Never later than this is told, days. */
const farthestDays = 7 * 365
/** What nobody can know of the weeks to come, as a spread of the wear's logarithm. House estimate. */
const aheadSpread = 0.06

/** The day, from when it was put on, on which a share of life is used. */
export function dayOfUse(one: Followed, values: LayerValues, share: number): number {
  const latest = one.exposure.today + farthestDays
  const used = (day: number): number => usedBy(wearUpTo(one.exposure, day), values)
  let [low, high] = [0, 64]
  while (high < latest && used(high) < share) [low, high] = [high, high * 2]
  for (let turn = 0; turn < 40 && high - low > 0.05; turn += 1) {
    const middle = (low + high) / 2
    if (used(middle) < share) low = middle
    else high = middle
  }
  return Math.min((low + high) / 2, latest)
}

const rounded = (days: number): number => Math.round(days * 10) / 10

/** Unknowns that move a date; how somebody grades does not. */
const moving = [0, 1, 2, 3] as const
const step = 0.05

/**
 * The days of a share of life: the middle, and both ends along the direction in which the date moves most for what is not known.
 */
function bandOf(one: Followed, { unknowns, middle, covariance }: Learnt, share: number): Band {
  const spots = layerSpots(unknowns, one)
  const { today } = one.exposure
  const at = (by: readonly number[]): number => {
    const moved = [...middle]
    moving.forEach((spot, index) => {
      const place = spots[spot] ?? 0
      moved[place] = (moved[place] ?? 0) + (by[index] ?? 0)
    })
    return dayOfUse(one, valuesAt(moved, spots, -1, 0), share) - today
  }
  const none = moving.map(() => 0)
  const slopes = moving.map(
    (_, index) => (at(none.with(index, step)) - at(none.with(index, -step))) / (2 * step),
  )
  const along = moving.map((a, i) =>
    moving.reduce<number>((sum, b, j) => {
      const known = covariance.get(spots[a] ?? 0, spots[b] ?? 0)
      const ahead = i === 0 && j === 0 ? aheadSpread * aheadSpread : 0
      return sum + (known + ahead) * (slopes[j] ?? 0)
    }, 0),
  )
  const spread = Math.sqrt(
    Math.max(
      1e-12,
      along.reduce((sum, value, i) => sum + value * (slopes[i] ?? 0), 0),
    ),
  )
  const ends = [-tenth, tenth].map((spreads) => at(along.map((value) => (spreads * value) / spread)))
  const [low = 0, high = 0] = ends.sort((a, b) => a - b)
  const p50 = at(none)
  return { p10: rounded(Math.min(low, p50)), p50: rounded(p50), p90: rounded(Math.max(high, p50)) }
}

/** The forecast of every layer that is still on, and how long each product lasts against its kind. */
export function forecastShop(record: ShopRecord): ShopForecast {
  const layers = followed(record)
  const learnt = learnFrom(record, layers)
  const { unknowns, middle, covariance } = learnt
  return {
    layers: layers
      .filter(({ layer }) => layer.endedAt === null)
      .map((one) => {
        const values = valuesAt(middle, layerSpots(unknowns, one), -1, 0)
        return {
          id: one.layer.id,
          usedShare: Math.round(usedBy(wearUpTo(one.exposure, one.exposure.today), values) * 1000) / 1000,
          topUpDays: bandOf(one, learnt, dueShares.topUp),
          renewDays: bandOf(one, learnt, dueShares.renew),
        }
      }),
    products: record.products.map(({ id }) => {
      const at = unknowns.productAt.get(id) ?? 0
      const spread = Math.sqrt(Math.max(0, covariance.get(at, at)))
      const times = (spreads: number): number =>
        Math.round(exp((middle[at] ?? 0) + spreads * spread) * 1000) / 1000
      return { id, lifeMultiplier: { p10: times(-tenth), p50: times(0), p90: times(tenth) } }
    }),
  }
}
