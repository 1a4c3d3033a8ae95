/** Keeps the forecast of a shop and answers questions about it: the only way in from outside. */
export { Forecaster, knowsOther, type ForecastRequest, type News } from './forecaster'
export type { Asked, Evidence, Questions } from './questions'
