import type { MessageKey, ValuesOf } from '@/i18n/catalogue'

/** A quantity in SI units or a currency's minor units; said in the units of whoever reads it. */
export type Quantity =
  | { readonly seconds: number }
  | { readonly millilitres: number }
  | { readonly celsius: number }
  /** 0 to 1; said in percent. */
  | { readonly share: number }
  | { readonly minor: number; readonly currency: string }
  /** A calendar day. */
  | { readonly day: Date }

/** What a message can be told: a name as it is, a quantity, something said elsewhere, or several of them as a list. */
export type Sayable = string | Quantity | Message | readonly Sayable[]

/**
 * Something to be said: which message of the catalogue, and its values. The core never says it itself; whoever shows it does, in their
 * language and units.
 */
export interface Message {
  readonly key: MessageKey
  readonly values?: Readonly<Record<string, Sayable | number | Date>>
}

/** Makes a message; the compiler knows which values it takes. */
export function message<Key extends MessageKey>(
  key: Key,
  ...[values]: object extends ValuesOf<Key, Sayable> ? [] : [ValuesOf<Key, Sayable>]
): Message {
  return values === undefined ? { key } : { key, values: values as NonNullable<Message['values']> }
}

/** Something said by an earlier version, which kept sentences, or by this one. */
export type Said = string | Message
