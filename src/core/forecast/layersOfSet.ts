import { dueShares } from '@/core/protection/forecast'
import type { Followed } from '@/core/protection/followed'
import { layerCourse, type CoursePoint } from '@/core/protection/layerCourse'
import type { LookGrade } from '@/core/protection/record'
import { layerId, type LayerFacts } from '@/core/protection/setHistory'
import type { ForecastLayer } from '@/core/protection/setForecast'
import { ofSet } from '@/core/protection/unknowns'
import { whyDue, type WhyDue } from '@/core/protection/whyDue'
import type { ShopForecast } from './shopForecast'

/** Everything that is known and expected of one layer. */
export interface KnownLayer {
  readonly facts: LayerFacts
  readonly forecast: ForecastLayer
  readonly why: WhyDue
  readonly course: readonly CoursePoint[]
  readonly looks: readonly {
    readonly at: Date
    readonly beading: LookGrade
    readonly afterReviving: boolean
  }[]
  readonly washes: readonly { readonly at: Date; readonly reviving: boolean }[]
  /** Winters between its beginning and the end of its course. */
  readonly winters: readonly { readonly from: Date; readonly to: Date }[]
}

const farthestMilliseconds = 4 * 365 * 86_400_000

function wintersBetween(
  from: number,
  until: number,
  seasons: { isWinter(at: number): boolean; turns(from: number, until: number): Float64Array },
): KnownLayer['winters'] {
  const edges = [from, ...seasons.turns(from, until), until]
  return edges.slice(1).flatMap((to, index) => {
    const begin = edges[index] ?? to
    return seasons.isWinter((begin + to) / 2) ? [{ from: new Date(begin), to: new Date(to) }] : []
  })
}

/** The layers that are on a set: what is left, when each is due, why, and its course. */
export function layersOfSet(
  { facts, forecasts, followed, learnt, following, calibration }: ShopForecast,
  { wheelSetId, at: now }: { readonly wheelSetId: string; readonly at: Date },
): KnownLayer[] {
  const [set, forecast, own] = [facts.get(wheelSetId), forecasts.get(wheelSetId), followed.get(wheelSetId)]
  if (!set || !forecast || !own) return []
  const { values, unknowns } = learnt.held
  const setValue = values.ofSets[(unknowns.setAt.get(wheelSetId) ?? 0) * ofSet] ?? 0
  const usual = own.record.washes.filter(({ wear }) => wear < 0.3)
  const washWear = usual.length > 0 ? usual.reduce((sum, { wear }) => sum + wear, 0) / usual.length : null
  const byId = new Map(own.layers.map((one): [string, Followed] => [one.layer.id, one]))
  return forecast.layers.flatMap((layer, place): KnownLayer[] => {
    const one = byId.get(layer.id)
    const of = set.layers.find((candidate) => layerId(set.id, candidate) === layer.id)
    const outlook = forecast.outlooks[place]
    if (!one || !of || !outlook) return []
    const until = new Date(
      Math.min(
        Math.max(layer.renew.p90.getTime(), now.getTime() + 14 * 86_400_000),
        now.getTime() + farthestMilliseconds,
      ),
    )
    const productValue = values.ofShop[unknowns.productAt.get(one.layer.productId) ?? 0] ?? 0
    return [
      {
        facts: of,
        forecast: layer,
        why: whyDue(one, outlook, setValue, productValue, washWear, dueShares.topUp, following.now),
        course: layerCourse(one, outlook, calibration.widen, until),
        looks: one.looks.map(({ look }) => ({
          at: look.at,
          beading: look.beading,
          afterReviving: look.afterReviving,
        })),
        washes: own.record.washes
          .filter(({ at: when }) => when > of.appliedAt)
          .map(({ at: when, reviving }) => ({ at: when, reviving })),
        winters: wintersBetween(of.appliedAt.getTime(), until.getTime(), following.seasons),
      },
    ]
  })
}
