import { cureEnds } from './cure'
import type { Sureness } from './dueItem'
import { surenessOf } from './layerDates'
import type { ProtectionKind } from '@/core/protection/kinds'
import { layerId, productId } from '@/core/protection/setHistory'
import type { Position } from '@/core/wheel/position'
import type { ShopForecast } from '@/core/forecast'

/** What is on the wheels of a set and still worth counting on, and where it still cures. */
export interface LiveProtection {
  readonly position: Position
  readonly kind: ProtectionKind
  readonly productName: string
  readonly appliedAt: Date
  /** Share of its life that is left, 0 to 1. */
  readonly leftShare: number
  readonly sureness: Sureness
  readonly isGone: boolean
  readonly isCuring: boolean
  /** By its label where a person gave it, else by its kind. */
  readonly curesUntil: Date
}

/**
 * The protection on a set, wheel by wheel.
 * @param at the instant at which it is asked whether it is gone or still cures
 */
export function liveProtection(
  shop: ShopForecast,
  { wheelSetId, at }: { readonly wheelSetId: string; readonly at: Date },
): LiveProtection[] {
  const facts = shop.facts.get(wheelSetId)
  if (!facts) return []
  const told = new Map(
    shop.dueFacts
      .get(wheelSetId)
      ?.cures.map((one) => [`${one.position} ${productId(one)} ${one.appliedAt.getTime()}`, one.until]),
  )
  const forecasts = new Map(shop.forecasts.get(wheelSetId)?.layers.map((layer) => [layer.id, layer]) ?? [])
  return facts.layers
    .filter(({ endedAt }) => endedAt === null)
    .flatMap((layer) =>
      layer.positions.map((position): LiveProtection => {
        const forecast = forecasts.get(layerId(facts.id, layer))
        const until = cureEnds(
          layer,
          told.get(`${position} ${productId(layer)} ${layer.appliedAt.getTime()}`) ?? null,
        )
        return {
          position,
          kind: layer.kind,
          productName: layer.productName,
          appliedAt: layer.appliedAt,
          leftShare: Math.max(0, 1 - (forecast?.usedShare ?? 1)),
          sureness: forecast ? surenessOf(forecast.renew, layer.appliedAt) : 'guess',
          isGone: forecast ? forecast.renew.p50 <= at || forecast.clog.kind === 'gone' : false,
          isCuring: until > at && until > layer.appliedAt,
          curesUntil: until,
        }
      }),
    )
}
