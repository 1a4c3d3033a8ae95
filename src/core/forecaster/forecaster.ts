import { questions, type Asked, type Questions } from './questions'
import {
  followShop,
  noFacts,
  withChange,
  type FactsChange,
  type ForecastBasis,
  type ShopFacts,
  type ShopForecast,
} from '@/core/forecast'

/** News for a forecaster: what has changed between two numbers of the records. */
export interface News {
  /** Of which records; others are other data. */
  readonly records: string
  /** Number up to which it was told before; null: this begins anew. */
  readonly from: number | null
  readonly number: number
  readonly change: FactsChange
}

/** What a forecaster is asked. */
export interface ForecastRequest {
  readonly records: string
  readonly name: keyof Questions
  readonly basis: ForecastBasis
  readonly asked: Asked<keyof Questions>
}

/** It does not know what it was said to know; tell it everything from the beginning. */
export const knowsOther = 'knowsOther'

/** Keeps what is known of one shop and what was forecast from it. */
export class Forecaster {
  private records = ''
  private number: number | null = null
  private facts: ShopFacts = noFacts
  private forecast: ShopForecast | null = null
  private forecastFacts: ShopFacts | null = null

  /** Takes in what has changed; false where it is not what comes after what is known here. */
  hear({ records, from, number, change }: News): boolean {
    if (from === null) {
      this.records = records
      this.facts = noFacts
      this.forecast = null
    } else if (records !== this.records || from !== this.number) return false
    if (change.changed.length > 0 || change.facts.length > 0) this.facts = withChange(this.facts, change)
    this.number = number
    return true
  }

  /** Answers from a forecast of what is known. */
  ask({ records, name, basis, asked }: ForecastRequest): unknown {
    if (records !== this.records || this.number === null) return knowsOther
    const isNow =
      this.forecast !== null &&
      this.forecastFacts === this.facts &&
      JSON.stringify(this.forecast.basis) === JSON.stringify(basis)
    if (!isNow) {
      this.forecast = followShop(this.facts, basis, this.forecast)
      this.forecastFacts = this.facts
    }
    return questions[name](this.forecast as ShopForecast, asked as never)
  }
}
