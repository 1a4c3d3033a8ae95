import { createFormatter, createTranslator } from 'use-intl/core'
import type { Message, Quantity, Said, Sayable } from '@/core/message/message'
import { formatDay, formatDuration, formatMillilitres, formatMoney } from './format'
import type { Messages } from './messages'
import type { Translator } from './translator'

/** Says what the core has to say. */
export type Say = (said: Said) => string

interface Speech {
  readonly t: Translator
  readonly list: (parts: readonly string[]) => string
  /** A day of another year is said with its year. */
  readonly now: Date
}

function quantityText(quantity: Quantity, { now }: Speech): string {
  if ('seconds' in quantity) return formatDuration(quantity.seconds)
  if ('millilitres' in quantity) return formatMillilitres(quantity.millilitres)
  if ('celsius' in quantity) return `${Math.round(quantity.celsius)} °C`
  if ('share' in quantity) return `${Math.round(quantity.share * 100)} %`
  if ('minor' in quantity) return formatMoney(quantity.minor, quantity.currency)
  return formatDay(quantity.day, now)
}

const isList = (value: Sayable): value is readonly Sayable[] => Array.isArray(value)
const isMessage = (value: Message | Quantity): value is Message => 'key' in value

function textOf(value: Sayable, speech: Speech): string {
  if (typeof value === 'string') return value
  if (isList(value)) return speech.list(value.map((one) => textOf(one, speech)))
  return isMessage(value) ? messageText(value, speech) : quantityText(value, speech)
}

/** Numbers and instants are the library's to write; everything else is text by now. */
function messageText({ key, values = {} }: Message, speech: Speech): string {
  const texts = Object.entries(values).map(([name, value]) => [
    name,
    typeof value === 'number' || value instanceof Date ? value : textOf(value, speech),
  ])
  return (speech.t as (key: string, values: object) => string)(key, Object.fromEntries(texts))
}

/** Says messages with a translator; a sentence that an earlier version stored is said as it stands. */
export const sayer =
  (speech: Speech): Say =>
  (said) =>
    typeof said === 'string' ? said : messageText(said, speech)

/** Says messages outside of React: in threads, routes and on the command line. */
export function sayerOf(locale: string, messages: Messages, now: Date): Say {
  const format = createFormatter({ locale })
  return sayer({
    t: createTranslator({ locale, messages }) as Translator,
    list: (parts) => format.list(parts, { type: 'conjunction' }),
    now,
  })
}
