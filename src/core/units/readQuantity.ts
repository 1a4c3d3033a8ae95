import { readNumber, type NumberReading } from './readNumber'
import { kindOfUnit, toStored, type QuantityKind, type UnitName } from './unit'
import { meaningsOf } from './unitWords'

/** One way to read what was typed. */
export interface QuantityChoice {
  /** In the unit as it was meant. */
  readonly value: number
  readonly unit: UnitName
  /** In the unit its kind is kept in. */
  readonly stored: number
}

export type QuantityReading =
  | ({ readonly kind: 'quantity' } & QuantityChoice)
  /** What was typed can be meant in several ways: ask, never guess. */
  | { readonly kind: 'question'; readonly choices: readonly [QuantityChoice, ...QuantityChoice[]] }
  | { readonly kind: 'problem'; readonly problem: 'empty' | 'number' | 'unit' | 'otherKind' }

/** What a field takes. */
export interface QuantityField {
  readonly kind: QuantityKind
  /** A bare number is in this unit. */
  readonly unit: UnitName
  /** Which ounces and gallons are meant by the word alone; null: ask. */
  readonly system: 'us' | 'imperial' | null
  /** Usual values, stored; a bare number that is far outside but usual in another unit is asked about. */
  readonly usual?: readonly [number, number]
  /** Units that a bare number is tried in where it is not usual in the field's own. */
  readonly others?: readonly UnitName[]
}

const problem = (what: (QuantityReading & { kind: 'problem' })['problem']): QuantityReading => ({
  kind: 'problem',
  problem: what,
})

const choice = (value: number, unit: UnitName): QuantityChoice => ({
  value,
  unit,
  stored: toStored(value, unit),
})

const oneOrMore = (choices: readonly QuantityChoice[]): QuantityReading => {
  const [first, ...rest] = choices
  if (first === undefined) return problem('unit')
  return rest.length === 0 ? { kind: 'quantity', ...first } : { kind: 'question', choices: [first, ...rest] }
}

const valuesOf = (reading: NumberReading): readonly number[] =>
  reading.kind === 'number' ? [reading.value] : reading.kind === 'either' ? reading.values : []

/** A number and what stands behind it. */
const withUnit =
  /^([-−–]?\s*(?:\d[\d\s.,'’\u00a0\u2009\u202f]*(?:[/⁄]\s*\d+)?[½¼¾⅓⅔⅛⅜⅝⅞]?|[.,]\d+|[½¼¾⅓⅔⅛⅜⅝⅞]|(?:half an?|a half|a quarter|quarter of an?|an?|one|two|three|four|five|half)(?=\s)))\s*(.*)$/i

function bare(values: readonly number[], { unit, usual, others = [] }: QuantityField): QuantityReading {
  const own = values.map((value) => choice(value, unit))
  const isUsual = ({ stored }: QuantityChoice): boolean =>
    usual === undefined || (stored >= usual[0] && stored <= usual[1])
  if (own.some(isUsual) || usual === undefined) return oneOrMore(own)
  const elsewhere = others.flatMap((other) => values.map((value) => choice(value, other)).filter(isUsual))
  return oneOrMore([...own, ...elsewhere])
}

/** Units that a word means in a field, with the country where it tells. */
function unitsOf(word: string, { kind, system }: QuantityField): readonly UnitName[] | 'otherKind' {
  const all = meaningsOf(word)
  const fitting = all.filter((unit) => kindOfUnit(unit) === kind)
  if (fitting.length === 0) return all.length > 0 ? 'otherKind' : []
  const ofCountry = fitting.filter((unit) => system !== null && unit.startsWith(system))
  return fitting.length > 1 && ofCountry.length > 0 ? ofCountry : fitting
}

/** Several numbers with units, one after the other: 1 gal 16 oz. */
const several = /^(.*?(?:[a-z"″”°]+\.?))\s+((?:\d|½|¼|¾).*)$/i

/**
 * Reads a quantity as people type it, in any unit of its kind and with either decimal mark: 16 oz, 1/2 gal, 2 L, 95 °F, −4 °F, 40 psi, a
 * quart. A bare number is in the field's unit. What can be meant in several ways is a question with its choices.
 */
export function readQuantity(typed: string, field: QuantityField): QuantityReading {
  const text = typed.trim()
  if (text === '') return problem('empty')
  const whole = readNumber(text)
  if (whole.kind !== 'none') return bare(valuesOf(whole), field)
  const parts = several.exec(text)
  if (parts && field.kind !== 'temperature') {
    const [first, rest] = [readQuantity(parts[1] ?? '', field), readQuantity(parts[2] ?? '', field)]
    if (first.kind === 'quantity' && rest.kind === 'quantity') {
      const { unit } = first
      const stored = first.stored + rest.stored
      return { kind: 'quantity', unit, stored, value: (stored / first.stored) * first.value }
    }
  }
  const found = withUnit.exec(text)
  if (!found) return problem('number')
  const values = valuesOf(readNumber((found[1] ?? '').replace(/[\s,.]+$/, '')))
  if (values.length === 0) return problem('number')
  const meant = unitsOf(found[2] ?? '', field)
  if (meant === 'otherKind') return problem('otherKind')
  return oneOrMore(values.flatMap((value) => meant.map((unit) => choice(value, unit))))
}
