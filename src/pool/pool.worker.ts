import { Forecaster, type ForecastRequest, type News } from '@/core/forecaster'
import { tasks } from './tasks'

/** What a thread of the pool can be asked for, by name. */
export const { planText, planFile, readBackup, readCabinet, writeCalendar } = tasks

const forecaster = new Forecaster()
/** What the forecaster's thread can be asked for, by name. */
export const hear = (news: News): boolean => forecaster.hear(news)
export const ask = (question: ForecastRequest): unknown => forecaster.ask(question)
