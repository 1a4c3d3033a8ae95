import { writeSignificant } from '@/core/quantity/rounding'
import { readQuantity, type QuantityField, type QuantityReading } from '@/core/units/readQuantity'
import { bareLargeUnit, bareUnit, ounceSystem, type Region } from '@/core/units/region'
import { fromStored, storedUnit, toStored, type QuantityKind, type UnitName } from '@/core/units/unit'

/** A quantity as a form keeps it: a number in the unit it is stored in, or what was typed where that is no quantity yet. */
export type StoredText = string

/** Before what can be meant in several ways: no number, so that nobody takes it for one. */
const asked = '? '

const toNumber = (text: StoredText): number =>
  text.trim() === '' ? Number.NaN : Number(text.replace(',', '.'))

/** More digits than anybody measures; fewer would change what was typed. */
const shownDigits = 4
/** No thermometer tells hundredths. */
const thermometerDigits = 3
/** From here on nobody counts parts of a mile. */
const wholeFrom = 100
const keptDecimals = 6

/** Large volumes are kept in litres, everything else in the unit that its kind is stored in. */
export type KeptIn = 'litre' | undefined
const keptUnit = (kind: QuantityKind, keptIn: KeptIn): UnitName => keptIn ?? storedUnit[kind]
const bareOf = (kind: QuantityKind, region: Region, keptIn: KeptIn): UnitName =>
  keptIn ? bareLargeUnit(region) : bareUnit(kind, region)

/** What a field shows of what a form keeps: a bare number in the person's unit. */
export function shownText(stored: StoredText, kind: QuantityKind, region: Region, keptIn?: KeptIn): string {
  const value = toNumber(stored)
  if (!Number.isFinite(value)) return stored.startsWith(asked) ? stored.slice(asked.length) : stored
  const unit = bareOf(kind, region, keptIn)
  // A number that is as it was typed keeps all its digits.
  if (unit === keptUnit(kind, keptIn)) return stored.trim()
  const own = fromStored(toStored(value, keptUnit(kind, keptIn)), unit)
  const shown = writeSignificant(
    kind === 'distance' && own >= wholeFrom ? Math.round(own) : own,
    kind === 'temperature' ? thermometerDigits : shownDigits,
  )
  // Three digits after the point could be thousands to who edits them.
  return /^-?[1-9]\d{0,2}\.\d{3}$/.test(shown) ? shown.slice(0, -1) : shown
}

/** How a field of a region reads a kind. */
export const fieldOf = (
  kind: QuantityKind,
  region: Region,
  usual: Pick<QuantityField, 'usual' | 'others'> = {},
  keptIn?: KeptIn,
): QuantityField => ({ kind, unit: bareOf(kind, region, keptIn), system: ounceSystem(region), ...usual })

/** What a form keeps of what was typed, and how it was read. */
export function storedText(
  typed: string,
  field: QuantityField,
  keptIn?: KeptIn,
): { readonly stored: StoredText; readonly reading: QuantityReading } {
  const reading = readQuantity(typed, field)
  switch (reading.kind) {
    case 'quantity':
      return { stored: keptText(reading.stored, keptIn), reading }
    case 'question':
      return { stored: `${asked}${typed}`, reading }
    case 'problem':
      return { stored: Number.isFinite(toNumber(typed)) ? `${asked}${typed}` : typed, reading }
  }
}

/** A stored number as a form keeps it. */
export const keptText = (stored: number, keptIn?: KeptIn): StoredText =>
  String(Number((keptIn ? fromStored(stored, keptIn) : stored).toFixed(keptDecimals)))
