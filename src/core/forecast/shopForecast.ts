import isEqual from 'fast-deep-equal/es6/index.js'
import type { DueFacts, NamedSetFacts } from './knownSet'
import type { EstimateOverrides } from '@/core/estimates/houseEstimates'
import { calibrate, type Calibration } from '@/core/protection/calibrate'
import { followSet, type FollowedSet, type Following } from '@/core/protection/followed'
import { followingOf } from '@/core/protection/forecast'
import { wearEstimatesOf } from '@/core/protection/houseWear'
import { learnFrom, type Start } from '@/core/protection/learn'
import type { WornProduct } from '@/core/protection/record'
import { productId, setRecordOf } from '@/core/protection/setHistory'
import { setForecast, type SetForecast } from '@/core/protection/setForecast'

/** What a forecast is made with beside the records; another one makes everything anew. */
export interface ForecastBasis {
  /** The instant it is made for: the end of a day, so that everything of the day is known in it. */
  readonly until: Date
  readonly estimates: EstimateOverrides
  readonly region: Parameters<typeof wearEstimatesOf>[1]
}

/** What is known of all sets of the shop. */
export interface ShopFacts {
  readonly facts: ReadonlyMap<string, NamedSetFacts>
  readonly dueFacts: ReadonlyMap<string, DueFacts>
}

/** What has changed since it was told last. */
export interface FactsChange {
  /** Sets of which something has changed; what is not given of them is gone. */
  readonly changed: readonly string[]
  readonly facts: readonly NamedSetFacts[]
  readonly dueFacts: ReadonlyMap<string, DueFacts>
}

/** What is forecast for all sets of the shop. */
export interface ShopForecast extends ShopFacts {
  readonly basis: ForecastBasis
  readonly following: Following
  readonly products: readonly WornProduct[]
  readonly followed: ReadonlyMap<string, FollowedSet>
  readonly learnt: Start
  readonly calibration: Calibration
  readonly forecasts: ReadonlyMap<string, SetForecast>
}

export const noFacts: ShopFacts = { facts: new Map(), dueFacts: new Map() }

/** What was told, or what is known where that says the same: then nothing is worked out anew. */
const sameOr = <T>(known: T | undefined, told: T): T =>
  known !== undefined && isEqual(known, told) ? known : told

/** The facts with a change taken in; the very same ones where it changes nothing of them. */
export function withChange(
  known: ShopFacts,
  { changed, facts: told, dueFacts: toldDue }: FactsChange,
): ShopFacts {
  const [facts, dueFacts] = [new Map(known.facts), new Map(known.dueFacts)]
  const toldIds = new Set(told.map(({ id }) => id))
  for (const id of changed) {
    if (!toldIds.has(id)) facts.delete(id)
    if (!toldDue.has(id)) dueFacts.delete(id)
  }
  for (const one of told) facts.set(one.id, sameOr(facts.get(one.id), one))
  for (const [id, one] of toldDue) dueFacts.set(id, sameOr(dueFacts.get(id), one))
  const isSame = (before: ReadonlyMap<string, unknown>, after: ReadonlyMap<string, unknown>): boolean =>
    before.size === after.size && [...after].every(([id, one]) => before.get(id) === one)
  return isSame(known.facts, facts) && isSame(known.dueFacts, dueFacts) ? known : { facts, dueFacts }
}

function productsOf(facts: Iterable<NamedSetFacts>): WornProduct[] {
  const kinds = new Map<string, string>()
  for (const { layers } of facts) for (const layer of layers) kinds.set(productId(layer), layer.kind)
  return [...kinds].map(([id, kind]) => ({ id, kind })).sort((a, b) => (a.id < b.id ? -1 : 1))
}

const isSameBasis = (one: ForecastBasis, other: ForecastBasis): boolean =>
  JSON.stringify(one) === JSON.stringify(other)

/**
 * Follows the sets whose facts are others than before, learns from where it was, and forecasts the sets that moved. On another day
 * everything is followed anew; what was learnt is where that begins.
 */
export function followShop(
  known: ShopFacts,
  basis: ForecastBasis,
  before: ShopForecast | null,
): ShopForecast {
  const products = productsOf(known.facts.values())
  const following = followingOf(basis.until, wearEstimatesOf(basis.estimates, basis.region), products)
  const same = before && isSameBasis(before.basis, basis) ? before : null
  const followed = new Map(
    [...known.facts.values()].map((facts): [string, FollowedSet] => {
      const kept = same?.facts.get(facts.id) === facts ? same.followed.get(facts.id) : undefined
      return [facts.id, kept ?? followSet(setRecordOf(facts, basis.estimates), following)]
    }),
  )
  const sets = [...followed.values()]
  const learnt = learnFrom(sets, products, following.estimates, before?.learnt)
  const calibration =
    same?.calibration ??
    calibrate(
      sets.map(({ record }) => record),
      products,
      following,
    )
  const forecasts = new Map(
    sets.map((set): [string, SetForecast] => [
      set.record.set.id,
      setForecast(
        set,
        learnt.held,
        following.now,
        calibration.widen,
        before?.forecasts.get(set.record.set.id),
      ),
    ]),
  )
  return { ...known, basis, following, products, followed, learnt, calibration, forecasts }
}
