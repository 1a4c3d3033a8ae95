import { familyOf, type FamilyId } from '@/core/chemistry/families'
import { usualPacks } from '@/core/chemistry/usualPacks'
import type { Product } from '@/core/chemistry/product'
import { readNumber } from '@/core/units/readNumber'
import { minorPerUnit } from '@/core/quantity/money'
import { writeDilution } from '@/core/dilution/writeDilution'
import { soils, type Soil } from '@/core/soils/soil'

/** A product as the form holds it: what a person types, as text. */
export interface ProductValues {
  readonly id: string
  readonly name: string
  readonly family: FamilyId
  readonly strength: string
  readonly dwellMin: string
  readonly dwellMax: string
  /** What it means; empty: as its family. Absent in drafts of earlier versions. */
  readonly longest?: string
  readonly delivery: string
  readonly packMillilitres: string
  readonly packPrice: string
  readonly stockMillilitres: string
  readonly otherPacks: readonly { readonly millilitres: string; readonly price: string }[]
  readonly wear: string
  readonly ratings: Partial<Record<Soil, string>>
  readonly note: string
  readonly containsFluoride: boolean
  readonly fluorideChecked: boolean
  readonly archived: boolean
}

/** A new product of a family: everything the label usually says is there already. */
export function valuesOfFamily(family: FamilyId): ProductValues {
  const { strength, dwellSeconds, delivery } = familyOf(family)
  return {
    id: '',
    name: '',
    family,
    strength: writeDilution(strength),
    dwellMin: String(dwellSeconds.min),
    dwellMax: String(dwellSeconds.max),
    longest: '',
    delivery,
    packMillilitres: String(usualPacks[family].packMillilitres),
    packPrice: '',
    stockMillilitres: String(usualPacks[family].packMillilitres),
    otherPacks: [],
    wear: '',
    ratings: {},
    note: '',
    containsFluoride: false,
    fluorideChecked: false,
    archived: false,
  }
}

export function valuesOf(product: Product, currency: string): ProductValues {
  const perUnit = minorPerUnit(currency)
  return {
    id: product.id,
    name: product.name,
    family: product.family,
    strength: writeDilution(
      product.strength,
      product.strength.from === product.strength.to ? 'ratio' : 'percent',
    ),
    dwellMin: String(product.dwellSeconds.min),
    dwellMax: String(product.dwellSeconds.max),
    longest: product.longest ?? '',
    delivery: product.delivery,
    packMillilitres: String(product.packMillilitres),
    packPrice: String(product.packPriceMinor / perUnit),
    stockMillilitres: String(product.stockMillilitres),
    otherPacks: product.otherPacks.map(({ millilitres, priceMinor }) => ({
      millilitres: String(millilitres),
      price: String(priceMinor / perUnit),
    })),
    wear: product.wear ?? '',
    ratings: Object.fromEntries(
      Object.entries(product.ratings).map(([soil, rating]) => [soil, String(rating)]),
    ),
    note: product.note ?? '',
    containsFluoride: product.containsFluoride,
    fluorideChecked: product.fluorideChecked ?? false,
    archived: product.archived,
  }
}

const numberOf = (text: string): number | string => {
  const value = Number(text.trim().replace(',', '.'))
  return text.trim() === '' || !Number.isFinite(value) ? text : value
}

/** A price without the sign or the code of the shop's own currency; another's stays, and is refused. */
function withoutCurrency(text: string, currency: string): string {
  const signs = [currency, ...['en', 'en-US'].map((locale) => signOf(currency, locale))]
  return signs.reduce((rest, sign) => rest.replace(sign, ''), text).trim()
}

const signOf = (currency: string, locale: string): string =>
  new Intl.NumberFormat(locale, { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
    .formatToParts(0)
    .find(({ type }) => type === 'currency')?.value ?? currency

/** A price as it was typed, "$24.99" or "24,99"; what is no number, or could be two, as it stands. */
const minorOf = (text: string, currency: string): number | string => {
  const read = readNumber(withoutCurrency(text, currency))
  return read.kind === 'number' ? Math.round(read.value * minorPerUnit(currency)) : text
}

/** An id from a name, readable in files. */
export const idOfName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{Mark}+/gu, '')
    .toLowerCase()
    .replace(/[^\p{Letter}\p{Number}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)

/** What the contract checks; it names the field of every problem. */
export const inputOf = (values: ProductValues, currency: string): unknown => ({
  id: values.id || idOfName(values.name) || '-',
  name: values.name,
  family: values.family,
  strength: values.strength,
  dwellSeconds: { min: numberOf(values.dwellMin), max: numberOf(values.dwellMax) },
  longest: values.longest || undefined,
  delivery: values.delivery,
  packMillilitres: numberOf(values.packMillilitres),
  packPriceMinor: minorOf(values.packPrice, currency),
  stockMillilitres: numberOf(values.stockMillilitres),
  otherPacks: values.otherPacks.map(({ millilitres, price }) => ({
    millilitres: numberOf(millilitres),
    priceMinor: minorOf(price, currency),
  })),
  wear: values.wear || undefined,
  ratings: Object.fromEntries(
    soils.flatMap((soil) => {
      const rating = values.ratings[soil]
      return rating === undefined || rating === '' ? [] : [[soil, Number(rating)]]
    }),
  ),
  note: values.note ?? '',
  containsFluoride: values.containsFluoride,
  fluorideChecked: values.fluorideChecked ?? false,
  archived: values.archived,
})
