/** The sign before the decimals of a table's numbers. */
export type DecimalMark = ',' | '.'

/** Signs that only part thousands, whatever else does. */
const plainOf = (text: string): string => text.trim().replace(/[\s\u00a0\u202f']/g, '')

/** A number in digits and marks; hexadecimal, exponents and words are none. */
const isNumber = (plain: string): boolean => /^[-+]?\d[\d.,]*$/.test(plain)

/** Three digits behind one mark: thousands to one half of the world, decimals to the other. */
const isUnclear = (plain: string): boolean => /^[-+]?[1-9]\d{0,2}[.,]\d{3}$/.test(plain)

/** The decimal mark that a number shows by itself; null: it has none, or could have either. */
function markShown(plain: string): DecimalMark | null {
  const marks = [...plain].filter((sign): sign is DecimalMark => sign === ',' || sign === '.')
  const last = marks.at(-1)
  if (last === undefined || isUnclear(plain)) return null
  if (new Set(marks).size > 1 || marks.length === 1) return last
  return last === ',' ? '.' : ','
}

/** The decimal mark of a table by all its numbers; null: they do not say, or not all the same. */
export function decimalMarkOf(cells: Iterable<string>): DecimalMark | null {
  const shown = new Set<DecimalMark>()
  for (const cell of cells) {
    const plain = plainOf(cell)
    const mark = isNumber(plain) ? markShown(plain) : null
    if (mark) shown.add(mark)
  }
  const [only, another] = shown
  return only && !another ? only : null
}

export type ReadNumber =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'none' }
  /** It could be either; the table does not say. */
  | { readonly kind: 'unclear'; readonly readings: readonly [number, number] }

/**
 * A number as either half of the world writes it: 1,290.50, 1.290,50, 12,9.
 * @param decimal the mark of the table it stands in, where that is known
 */
export function readTableNumber(text: string, decimal: DecimalMark | null): ReadNumber {
  const plain = plainOf(text)
  if (!isNumber(plain)) return { kind: 'none' }
  const mark = markShown(plain) ?? (isUnclear(plain) ? decimal : '.')
  if (mark === null) {
    const digits = plain.replace(/[.,]/, '')
    return { kind: 'unclear', readings: [Number(digits), Number(plain.replace(',', '.'))] }
  }
  const thousands = mark === ',' ? /\./g : /,/g
  const value = Number(plain.replace(thousands, '').replace(mark, '.'))
  return Number.isFinite(value) ? { kind: 'number', value } : { kind: 'none' }
}

/** A number for a table, so that no half of the world reads it as another: three decimals look like thousands. */
export function writeTableNumber(value: number): string {
  const text = String(value)
  return isUnclear(text) ? `${text}0` : text
}
