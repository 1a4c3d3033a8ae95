import type { NamedSetFacts } from '@/core/due/knownSet'
import type { SetForecast } from '@/core/protection/setForecast'
import { comparison } from './comparison'
import { layersOfSet } from './layersOfSet'
import { liveProtection } from './liveProtection'
import { dueByKey, dueOfSet, dueOfShop, dueOfWeek, duePage } from './shopDue'
import type { ShopForecast } from './shopForecast'

/** A set's dates and what they were made from; null: there is no such set. */
function forecastOfSet(
  shop: ShopForecast,
  { wheelSetId }: { readonly wheelSetId: string },
): { readonly facts: NamedSetFacts; readonly layers: SetForecast['layers'] } | null {
  const [facts, forecast] = [shop.facts.get(wheelSetId), shop.forecasts.get(wheelSetId)]
  return facts && forecast ? { facts, layers: forecast.layers } : null
}

/** What a forecast can be asked for, by name. Plain values in and out. */
export const questions = {
  comparison,
  dueByKey,
  dueOfSet,
  dueOfShop,
  dueOfWeek,
  duePage,
  forecastOfSet,
  layersOfSet,
  liveProtection,
}

export type Questions = typeof questions
export type Asked<Name extends keyof Questions> = Parameters<Questions[Name]>[1]
export type Evidence<Name extends keyof Questions> = ReturnType<Questions[Name]>
