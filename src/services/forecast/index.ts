/** What a route asks about how long protection lasts. */
export { askForecast, forgetForecast } from './askForecast'
export { productsCompared, type RankedProduct } from './productsCompared'
