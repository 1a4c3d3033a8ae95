import { minorPerUnit } from '@/core/quantity/money'
import { displayed } from '@/core/units/displayed'
import { pourOnMarks, type PouredOnMarks } from '@/core/units/pourOnMarks'
import { bareLargeUnit, bareUnit, type English } from '@/core/units/region'
import { fromStored, toStored, type QuantityKind, type UnitName } from '@/core/units/unit'
import { regionOfTag } from './regionTag'

/** Symbols are the same in every language; a litre has a capital one in America. */
const symbols: Readonly<Record<UnitName, string>> = {
  millilitre: 'ml',
  litre: 'l',
  usFluidOunce: 'fl oz',
  usPint: 'pt',
  usQuart: 'qt',
  usGallon: 'gal',
  imperialFluidOunce: 'fl oz',
  imperialPint: 'pt',
  imperialQuart: 'qt',
  imperialGallon: 'gal',
  millilitrePerSquareMetre: 'ml/m²',
  usFluidOuncePerSquareFoot: 'fl oz/ft²',
  imperialFluidOuncePerSquareFoot: 'fl oz/ft²',
  gramPerSquareMetre: 'g/m²',
  ouncePerSquareFoot: 'oz/ft²',
  gramPerLitre: 'g/l',
  ouncePerUsGallon: 'oz/gal',
  ouncePerImperialGallon: 'oz/gal',
  perThousandKilometres: 'per 1000 km',
  perThousandMiles: 'per 1000 mi',
  litrePerMinute: 'l/min',
  usGallonPerMinute: 'gal/min',
  imperialGallonPerMinute: 'gal/min',
  celsius: '°C',
  fahrenheit: '°F',
  kilometre: 'km',
  mile: 'mi',
  kilometrePerHour: 'km/h',
  milePerHour: 'mph',
  metrePerSecond: 'm/s',
  bar: 'bar',
  kilopascal: 'kPa',
  psi: 'psi',
  newtonMetre: 'N·m',
  poundFoot: 'lb-ft',
  millimetre: 'mm',
  centimetre: 'cm',
  inch: 'in',
  ppm: 'ppm',
  germanDegree: '°dH',
  frenchDegree: '°fH',
  grainPerGallon: 'gpg',
}
const americanSymbols: Partial<Record<UnitName, string>> = {
  millilitre: 'mL',
  litre: 'L',
  litrePerMinute: 'L/min',
}

const millilitresPerLitre = 1000
/** Farther from a mark than rounding brings it, oz. */
const offTheMark = 0.02
const ouncesAndGallon = {
  us: ['usFluidOunce', 'usGallon'],
  imperial: ['imperialFluidOunce', 'imperialGallon'],
} as const

/** How days are written: everywhere but in America the day comes first. */
const dateLocales: Readonly<Record<English, string>> = { en: 'en-GB', 'en-GB': 'en-GB', 'en-US': 'en-US' }

const spans = [
  ['year', 31_536_000],
  ['month', 2_592_000],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
] as const

const isSameYear = (one: Date, other: Date): boolean => one.getFullYear() === other.getFullYear()

/** Writes numbers, money, quantities and days as a person does. */
export class Formats {
  readonly #english: English
  readonly #clock: Intl.DateTimeFormatOptions
  readonly #dates = new Map<string, Intl.DateTimeFormat>()
  readonly #numbers = new Map<string, Intl.NumberFormat>()
  readonly #relative: Intl.RelativeTimeFormat

  constructor(private readonly tag: string) {
    this.#english = regionOfTag(tag).english
    this.#clock = { hour: this.#english === 'en-US' ? 'numeric' : '2-digit', minute: '2-digit' }
    this.#relative = new Intl.RelativeTimeFormat(this.#english, { numeric: 'always' })
  }

  /** A number with at most so many digits after the point. */
  number(value: number, maximumFractionDigits: number): string {
    return this.#number({ maximumFractionDigits }).format(value)
  }

  /** A stored quantity in the person's unit, with its symbol. */
  quantity(stored: number, kind: QuantityKind): string {
    const { value, unit, maxDecimals } = displayed(stored, kind, regionOfTag(this.tag))
    return `${this.number(value, maxDecimals)} ${this.symbol(unit)}`
  }

  /** A stored quantity as a number in the unit of `unitSymbol`, for charts. */
  chartValue(stored: number, kind: QuantityKind): number {
    return fromStored(stored, bareUnit(kind, regionOfTag(this.tag)))
  }

  /** Litres in the unit of large volumes. */
  largeVolumeValue(litres: number): number {
    return fromStored(toStored(litres, 'litre'), bareLargeUnit(regionOfTag(this.tag)))
  }

  /** The unit in which the person writes a kind. */
  unitSymbol(kind: QuantityKind): string {
    return this.symbol(bareUnit(kind, regionOfTag(this.tag)))
  }

  symbol(unit: UnitName): string {
    return (this.#english === 'en-US' ? americanSymbols[unit] : undefined) ?? symbols[unit]
  }

  volume(millilitres: number): string {
    return this.quantity(millilitres, 'volume')
  }

  /** A volume that is measured with the jug, as its marks say it: 450 ml, 10.335 l, 2 gal 93.5 fl oz. */
  poured(millilitres: number): string {
    const { system } = regionOfTag(this.tag).jug
    if (system === 'metric')
      return millilitres < millilitresPerLitre
        ? `${this.number(millilitres, 1)} ${this.symbol('millilitre')}`
        : `${this.number(millilitres / millilitresPerLitre, 3)} ${this.symbol('litre')}`
    const [ounce, gallon] = ouncesAndGallon[system]
    const exact = fromStored(millilitres, ounce)
    const all = Math.round(exact * 2) / 2
    // What was not measured with the jug, such as a neat product out of its bottle.
    if (Math.abs(exact - all) > offTheMark) return this.volume(millilitres)
    const perGallon = Math.round(fromStored(toStored(1, gallon), ounce))
    const parts = [
      [Math.floor(all / perGallon), gallon],
      [all % perGallon, ounce],
    ] as const
    const said = parts
      .filter(([count]) => count > 0)
      .map(([count, unit]) => `${this.number(count, 1)} ${this.symbol(unit)}`)
    return said.length > 0 ? said.join(' ') : `0 ${this.symbol(ounce)}`
  }

  /** A strength and an amount on the marks of the person's jug. */
  onMarks(fraction: number, totalMillilitres: number): PouredOnMarks {
    return pourOnMarks(fraction, totalMillilitres, regionOfTag(this.tag).jug)
  }

  money(minor: number, currency: string): string {
    return this.#number({ style: 'currency', currency }).format(minor / minorPerUnit(currency))
  }

  /** Parts of a minor unit count where things are compared by what one wheel costs. */
  smallMoney(minor: number, currency: string): string {
    const { maximumFractionDigits: digits = 2 } = this.#number({
      style: 'currency',
      currency,
    }).resolvedOptions()
    return this.#number({
      style: 'currency',
      currency,
      maximumFractionDigits: digits + (minor < 10 ? 1 : 0),
    }).format(minor / minorPerUnit(currency))
  }

  megabytes(bytes: number): string {
    return `${this.number(bytes / 1_000_000, 1)} MB`
  }

  /** 09:30; in America 9:30 AM. */
  timeOfDay(date: Date): string {
    return this.#date(date, this.#clock)
  }

  /** Sunday begins the week in America, Monday elsewhere. */
  get weekStartsOn(): 0 | 1 {
    return this.#english === 'en-US' ? 0 : 1
  }

  /** An instant on a wall clock so many minutes ahead of UTC. */
  wallClock(at: Date, utcOffsetMinutes: number): string {
    return this.#date(new Date(at.getTime() + utcOffsetMinutes * 60_000), { ...this.#clock, timeZone: 'UTC' })
  }

  /** A full hour of the day: 14:00, in America 2 PM. */
  hour(hour: number): string {
    const at = new Date(Date.UTC(2001, 0, 1, hour))
    return this.#english === 'en-US'
      ? this.#date(at, { hour: 'numeric', timeZone: 'UTC' })
      : this.#date(at, { ...this.#clock, timeZone: 'UTC' })
  }

  /** 3 May; of another year 3 May 2027. */
  day(date: Date, now: Date): string {
    return isSameYear(date, now) ? this.#date(date, { day: 'numeric', month: 'short' }) : this.fullDay(date)
  }

  /** 3 May 2027. */
  fullDay(date: Date, month: 'short' | 'long' = 'short'): string {
    return this.#date(date, { day: 'numeric', month, year: 'numeric' })
  }

  /** Wed or Wednesday. */
  weekday(date: Date, weekday: 'short' | 'long'): string {
    return this.#date(date, { weekday })
  }

  /** Wed 3 Jun, or Wednesday 3 June; in America Wed, Jun 3. */
  dayOfWeek(date: Date, length: 'short' | 'long'): string {
    return this.#english === 'en-US'
      ? this.#date(date, { weekday: length, day: 'numeric', month: length })
      : `${this.weekday(date, length)} ${this.#date(date, { day: 'numeric', month: length })}`
  }

  /** Jun, June or June 2026. */
  month(date: Date, length: 'short' | 'long', withYear = false): string {
    return this.#date(date, { month: length, ...(withYear ? { year: 'numeric' } : {}) })
  }

  /** 3 days ago, in 2 hours. */
  ago(date: Date, now: Date): string {
    const seconds = Math.round((date.getTime() - now.getTime()) / 1000)
    const [unit, length] = spans.find(([, long]) => Math.abs(seconds) >= long) ?? (['second', 1] as const)
    return this.#relative.format(Math.round(seconds / length), unit)
  }

  /** Making a formatter takes far longer than using it. */
  #number(options: Intl.NumberFormatOptions): Intl.NumberFormat {
    const key = JSON.stringify(options)
    const formatter = this.#numbers.get(key) ?? new Intl.NumberFormat(this.#english, options)
    this.#numbers.set(key, formatter)
    return formatter
  }

  #date(date: Date, options: Intl.DateTimeFormatOptions): string {
    const key = JSON.stringify(options)
    const formatter = this.#dates.get(key) ?? new Intl.DateTimeFormat(dateLocales[this.#english], options)
    this.#dates.set(key, formatter)
    return formatter.format(date)
  }
}

const known = new Map<string, Formats>()

/** The formats of a language tag, made once. */
export function formatsOf(tag: string): Formats {
  const formats = known.get(tag) ?? new Formats(tag)
  known.set(tag, formats)
  return formats
}
