import { minorPerUnit } from '@/core/quantity/money'
import { format, formatDistanceStrict, isSameYear } from 'date-fns'

/** 4 min, 1 h 12 min; under a minute in seconds. */
export function formatDuration(seconds: number): string {
  if (Math.round(seconds) < 60) return `${Math.round(seconds)} s`
  const minutes = Math.round(seconds / 60)
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
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
    ? `${Number((millilitres / 1000).toFixed(2))} l`
    : `${Number(millilitres.toFixed(millilitres < 20 ? 1 : 0))} ml`

export const formatTimeOfDay = (date: Date): string => format(date, 'HH:mm')

export const formatDay = (date: Date, now: Date): string =>
  format(date, isSameYear(date, now) ? 'd MMM' : 'd MMM yyyy')

export const formatAgo = (date: Date, now: Date): string =>
  formatDistanceStrict(date, now, { addSuffix: true })

export const formatMegabytes = (bytes: number): string => `${(bytes / 1_000_000).toFixed(1)} MB`
