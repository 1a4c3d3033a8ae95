import type { MessageKey, ValuesOf } from '@/catalogue/messageKey'

/** A quantity in SI units or a currency's minor units; said in the units of whoever reads it. */
export type Quantity =
  | { readonly seconds: number }
  /** A dwell, or how long something stays wet: to half minutes while it is short. */
  | { readonly dwellSeconds: number }
  | { readonly millilitres: number }
  | { readonly litres: number }
  | { readonly millimetres: number }
  | { readonly celsius: number }
  | { readonly kilometres: number }
  | { readonly bar: number }
  | { readonly newtonMetres: number }
  | { readonly kilometresPerHour: number }
  | { readonly ppm: number }
  | { readonly litresPerMinute: number }
  /** 0 to 1; said in percent. */
  | { readonly share: number }
  /** Share of concentrate, 0 to 1; said as a ratio. */
  | { readonly dilution: number }
  | { readonly minor: number; readonly currency: string }
  /** A calendar day. */
  | { readonly day: Date }

/**
 * What a message can be told: a name as it is, a quantity, something said elsewhere, or several of them as a list ("a, b and c").
 * `either` lists choices ("a, b or c"); `capital` begins a sentence.
 */
export type Sayable =
  | string
  | Quantity
  | Message
  | { readonly either: readonly Sayable[] }
  | { readonly capital: Sayable }
  /** Ways to say the same, the first that is short enough; else the last. */
  | { readonly shortest: readonly Sayable[]; readonly maxCharacters: number }
  | readonly Sayable[]

/**
 * Something to be said: which message of the catalogue, and its values. The core never says it itself; whoever shows it does, in their
 * language and units.
 */
export interface Message {
  readonly key: MessageKey
  readonly values?: Readonly<Record<string, Sayable | number | Date>>
  /** As it was said when it was stored; stands in where a later version has no such message. */
  readonly text?: string
}

/** Makes a message; the compiler knows which values it takes. */
export function message<Key extends MessageKey>(
  key: Key,
  ...[values]: object extends ValuesOf<Key, Sayable> ? [] : [ValuesOf<Key, Sayable>]
): Message {
  return values === undefined ? { key } : { key, values: values as NonNullable<Message['values']> }
}

const partsOfMessage: ReadonlySet<string> = new Set(['key', 'values', 'text'])

/** Whether any value is a message, with the text it had when it was stored or without. */
export const isMessage = (value: unknown): value is Message =>
  typeof value === 'object' &&
  value !== null &&
  'key' in value &&
  typeof value.key === 'string' &&
  Object.keys(value).every((name) => partsOfMessage.has(name))

/** Something said by an earlier version, which kept sentences, or by this one. */
export type Said = string | Message

/** Whether there is anything to be said. */
const isSomething = (said: Said | null | undefined | false): said is Said => Boolean(said)

/** Sentences one after the other; what is empty is left out. */
export function sentences(...parts: readonly (Said | null | undefined | false)[]): Said {
  const [first, ...rest] = parts.filter(isSomething)
  if (first === undefined) return ''
  return rest.length === 0 ? first : message('common.sentences', { first, rest: sentences(...rest) })
}

/** Whether two things are said alike. */
export const sameSaid = (a: Said, b: Said): boolean =>
  a === b || (typeof a !== 'string' && typeof b !== 'string' && JSON.stringify(a) === JSON.stringify(b))

/** Each thing once, in the order of its first appearance. */
export const saidOnce = <T extends Sayable>(all: readonly T[]): T[] => {
  const known = new Set<string>()
  return all.filter((one) => {
    const mark = JSON.stringify(one)
    if (known.has(mark)) return false
    known.add(mark)
    return true
  })
}
