/** A number as it was typed: what it is, or what it may be. */
export type NumberReading =
  | { readonly kind: 'number'; readonly value: number }
  /** "1,000" and "1.000": a thousand for one reader, one for the next. */
  | { readonly kind: 'either'; readonly values: readonly [number, number] }
  | { readonly kind: 'none' }

const glyphs: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const words: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  half: 0.5,
  'half a': 0.5,
  'a half': 0.5,
  'a quarter': 0.25,
  'quarter of a': 0.25,
}

const none: NumberReading = { kind: 'none' }
const number = (value: number): NumberReading => (Number.isFinite(value) ? { kind: 'number', value } : none)

/** Digits with one kind of separator that may be thousands or decimals, or with both. */
function readDigits(text: string): NumberReading {
  const plain = text.replace(/(?<=\d)[\s'’](?=\d{3}(?:\D|$))/g, '')
  if (/^\d+$/.test(plain)) return number(Number(plain))
  // One mark before exactly three digits is read in two ways; before a leading zero only decimals make sense.
  if (/^[1-9]\d{0,2}[.,]\d{3}$/.test(plain))
    return {
      kind: 'either',
      values: [Number(plain.replace(/[.,]/, '')), Number(plain.replace(',', '.'))],
    }
  if (/^\d*[.,]\d+$/.test(plain)) return number(Number(plain.replace(',', '.')))
  if (/^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/.test(plain)) return number(Number(plain.replace(/,/g, '')))
  if (/^\d{1,3}(?:\.\d{3})+(?:,\d+)?$/.test(plain))
    return number(Number(plain.replace(/\./g, '').replace(',', '.')))
  return none
}

function readFraction(text: string): NumberReading {
  const found = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*[/⁄]\s*(\d+)$/.exec(text)
  if (!found) return none
  const [, whole = '0', over = '0', under = '0'] = found
  return Number(under) === 0 ? none : number(Number(whole) + Number(over) / Number(under))
}

/**
 * Reads a number in any usual way of writing it: 1,5 and 1.5, 1 000, 1,234.5, 1/2, 1½, "a", "half a"; with a minus before it.
 * What one reader takes for a thousand and another for one comes back as either.
 */
export function readNumber(typed: string): NumberReading {
  const text = typed
    .trim()
    .toLowerCase()
    .replace(/(\d?)([½¼¾⅓⅔⅛⅜⅝⅞])/g, (_, digit: string, glyph: string) =>
      digit === '' ? (glyphs[glyph] ?? '') : `${digit} ${glyphs[glyph] ?? ''}`,
    )
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
  const negative = /^[-−–]\s*(?=[\d.,])/.exec(text)
  if (negative) {
    const rest = readNumber(text.slice(negative[0].length))
    if (rest.kind === 'number') return number(-rest.value)
    return rest.kind === 'either' ? { kind: 'either', values: [-rest.values[0], -rest.values[1]] } : none
  }
  const word = words[text]
  if (word !== undefined) return number(word)
  const fraction = readFraction(text)
  return fraction.kind === 'none' ? readDigits(text) : fraction
}
