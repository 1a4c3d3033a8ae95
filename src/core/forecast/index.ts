/** How long the protection of every set of a shop lasts: the only way in from outside. */
export { comparison, type Comparison } from './comparison'
export type { DueFacts, Fitting, NamedSetFacts, SetVisits, ToldCure } from './knownSet'
export { layersOfSet, type KnownLayer } from './layersOfSet'
export {
  followShop,
  noFacts,
  withChange,
  type FactsChange,
  type ForecastBasis,
  type ShopFacts,
  type ShopForecast,
} from './shopForecast'
