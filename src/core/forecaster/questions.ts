import { dueByKey, dueOfSet, dueOfShop, dueOfWeek, duePage, liveProtection } from '@/core/due'
import { comparison, layersOfSet, type NamedSetFacts, type ShopForecast } from '@/core/forecast'
import type { SetForecast } from '@/core/protection/setForecast'

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
