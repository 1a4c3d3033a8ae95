import { minorPerUnit } from '@/core/quantity/money'

/** 4 min, 1 h 12 min; under a minute in seconds. */
export function formatDuration(seconds: number): string {
  if (Math.round(seconds) < 60) return `${Math.round(seconds)} s`
  const minutes = Math.round(seconds / 60)
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}

/** A dwell: 45 s, 90 s, 2.5 min; from ten minutes on whole ones. */
export function formatDwell(seconds: number): string {
  if (seconds <= 90) return `${Math.round(seconds)} s`
  return seconds < 600 ? `${Math.round(seconds / 30) / 2} min` : formatDuration(seconds)
}

/** A running clock: 2:05, and a minus once it is over. */
export function formatClock(seconds: number): string {
  const whole = Math.abs(Math.trunc(seconds))
  return `${seconds < 0 ? '−' : ''}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

/** Making one takes far longer than using it. */
const moneyFormatters = new Map<string, Intl.NumberFormat>()

export function formatMoney(minor: number, currency: string): string {
  const formatter =
    moneyFormatters.get(currency) ?? new Intl.NumberFormat('en', { style: 'currency', currency })
  moneyFormatters.set(currency, formatter)
  return formatter.format(minor / minorPerUnit(currency))
}

/** Parts of a minor unit count where things are compared by what one wheel costs. */
export function formatSmallMoney(minor: number, currency: string): string {
  const digits = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
    .maximumFractionDigits
  return new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    maximumFractionDigits: (digits ?? 2) + (minor < 10 ? 1 : 0),
  }).format(minor / minorPerUnit(currency))
}

export const formatMillilitres = (millilitres: number): string =>
  millilitres >= 1000
    ? `${formatNumber(millilitres / 1000, 2)} l`
    : `${formatNumber(millilitres, millilitres < 20 ? 1 : 0)} ml`

/** Days and hours as they are written here; numbers and lists follow the language of the page. */
const dateLocale = 'en-GB'

const dateFormatters = new Map<string, Intl.DateTimeFormat>()

function writeDate(date: Date, options: Intl.DateTimeFormatOptions): string {
  const key = JSON.stringify(options)
  const formatter = dateFormatters.get(key) ?? new Intl.DateTimeFormat(dateLocale, options)
  dateFormatters.set(key, formatter)
  return formatter.format(date)
}

/** 09:30. */
export const formatTimeOfDay = (date: Date): string => writeDate(date, { hour: '2-digit', minute: '2-digit' })

const isSameYear = (one: Date, other: Date): boolean => one.getFullYear() === other.getFullYear()

/** 3 May; of another year 3 May 2027. */
export const formatDay = (date: Date, now: Date): string =>
  isSameYear(date, now) ? writeDate(date, { day: 'numeric', month: 'short' }) : formatFullDay(date)

/** 3 May 2027. */
export const formatFullDay = (date: Date, month: 'short' | 'long' = 'short'): string =>
  writeDate(date, { day: 'numeric', month, year: 'numeric' })

/** Wed or Wednesday. */
export const formatWeekday = (date: Date, weekday: 'short' | 'long'): string => writeDate(date, { weekday })

/** Wed 3 Jun, or Wednesday 3 June. */
export const formatDayOfWeek = (date: Date, length: 'short' | 'long'): string =>
  `${formatWeekday(date, length)} ${writeDate(date, { day: 'numeric', month: length })}`

/** Jun, June or June 2026. */
export const formatMonth = (date: Date, length: 'short' | 'long', withYear = false): string =>
  writeDate(date, { month: length, ...(withYear ? { year: 'numeric' } : {}) })

const relative = new Intl.RelativeTimeFormat('en', { numeric: 'always' })
const spans = [
  ['year', 31_536_000],
  ['month', 2_592_000],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
] as const

/** 3 days ago, in 2 hours. */
export function formatAgo(date: Date, now: Date): string {
  const seconds = Math.round((date.getTime() - now.getTime()) / 1000)
  const [unit, length] = spans.find(([, long]) => Math.abs(seconds) >= long) ?? (['second', 1] as const)
  return relative.format(Math.round(seconds / length), unit)
}

/** A number with at most so many digits after the point. */
export const formatNumber = (value: number, maximumFractionDigits: number): string =>
  new Intl.NumberFormat('en', { maximumFractionDigits }).format(value)

export const formatMegabytes = (bytes: number): string => `${formatNumber(bytes / 1_000_000, 1)} MB`
