import type { ICUArgs, MessageKeys, NestedKeyOf, NestedValueOf } from 'use-intl/core'
import type { Messages } from './messages'

/** A key of the catalogue, as `plan.head.start`. */
export type MessageKey = MessageKeys<Messages, NestedKeyOf<Messages>>

/** What a message is told, by name; what is counted or compared is a number. */
export type ValuesOf<Key extends MessageKey, Argument> = ICUArgs<
  NestedValueOf<Messages, Key> & string,
  { ICUArgument: Argument; ICUNumberArgument: number; ICUDateArgument: Date }
>
