import { createFormatter, createTranslator } from 'use-intl/core'
import { sayDilution } from '@/core/dilution/writeDilution'
import type { Message, Quantity, Said, Sayable } from '@/core/message/message'
import { formatDuration, formatDwell } from './format'
import { formatsOf, type Formats } from './formats'
import type { Language } from './language'
import type { Messages } from '@/catalogue/messages'
import type { Translator } from './translator'

/** Says what the core has to say. */
export type Say = (said: Said) => string

interface Speech {
  readonly t: Translator
  readonly formats: Formats
  readonly list: (parts: readonly string[], kind: 'conjunction' | 'disjunction') => string
  /** A day of another year is said with its year. */
  readonly now: Date
}

function quantityText(quantity: Quantity, { now, formats }: Speech): string {
  if ('seconds' in quantity) return formatDuration(quantity.seconds)
  if ('dwellSeconds' in quantity) return formatDwell(quantity.dwellSeconds)
  if ('millilitres' in quantity) return formats.volume(quantity.millilitres)
  if ('litres' in quantity) return formats.volume(1000 * quantity.litres)
  if ('millimetres' in quantity) return formats.quantity(quantity.millimetres, 'length')
  if ('celsius' in quantity) return formats.quantity(quantity.celsius, 'temperature')
  if ('kilometres' in quantity) return formats.quantity(quantity.kilometres, 'distance')
  if ('bar' in quantity) return formats.quantity(quantity.bar, 'pressure')
  if ('newtonMetres' in quantity) return formats.quantity(quantity.newtonMetres, 'torque')
  if ('kilometresPerHour' in quantity) return formats.quantity(quantity.kilometresPerHour, 'speed')
  if ('ppm' in quantity) return formats.quantity(quantity.ppm, 'hardness')
  if ('litresPerMinute' in quantity) return formats.quantity(quantity.litresPerMinute, 'flow')
  if ('share' in quantity) return `${Math.round(quantity.share * 100)} %`
  if ('dilution' in quantity) return sayDilution(quantity.dilution)
  if ('minor' in quantity) return formats.money(quantity.minor, quantity.currency)
  return formats.day(quantity.day, now)
}

const isList = (value: Sayable): value is readonly Sayable[] => Array.isArray(value)

/** The first letter of a name or a word; marks before it are left alone. */
export const capitalised = (text: string): string =>
  text.replace(/\p{L}|\p{N}/u, (letter) => letter.toUpperCase())

function textOf(value: Sayable, speech: Speech): string {
  if (typeof value === 'string') return value
  if (isList(value))
    return speech.list(
      value.map((one) => textOf(one, speech)),
      'conjunction',
    )
  if ('key' in value) return messageText(value, speech)
  if ('capital' in value) return capitalised(textOf(value.capital, speech))
  if ('shortest' in value) {
    const ways = value.shortest.map((one) => textOf(one, speech))
    return ways.find(({ length }) => length <= value.maxCharacters) ?? ways.at(-1) ?? ''
  }
  if ('either' in value)
    return speech.list(
      value.either.map((one) => textOf(one, speech)),
      'disjunction',
    )
  return quantityText(value, speech)
}

/** Numbers and instants are the library's to write; everything else is text by now. */
function messageText({ key, values = {}, text }: Message, speech: Speech): string {
  // A later version has no such message any more.
  if (text !== undefined && !speech.t.has(key)) return text
  const texts = Object.entries(values).map(([name, value]) => [
    name,
    typeof value === 'number' || value instanceof Date ? value : textOf(value, speech),
  ])
  const said = (speech.t as (key: string, values: object) => string)(key, Object.fromEntries(texts))
  // The library answers with the key where a value is missing: a later version asks for one that was not stored.
  return said === key && text !== undefined ? text : said
}

/** Says messages with a translator; a sentence that an earlier version stored is said as it stands. */
export const sayer =
  (speech: Speech): Say =>
  (said) =>
    typeof said === 'string' ? said : messageText(said, speech)

/** Says messages outside of React: in threads, routes and on the command line. */
export function sayerOf(locale: Language, messages: Messages, now: Date): Say {
  const format = createFormatter({ locale })
  return sayer({
    t: createTranslator({ locale, messages }) as Translator,
    formats: formatsOf(locale),
    list: (parts, type) => format.list(parts, { type }),
    now,
  })
}
