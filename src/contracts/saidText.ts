import * as v from 'valibot'
import type { Message, Said } from '@/core/message/message'

const message = v.strictObject({
  key: v.string(),
  values: v.optional(v.record(v.string(), v.unknown())),
  text: v.optional(v.string()),
})

/**
 * Something to be said: a message with its values, and the text it had in the language it was written in; a sentence in files of earlier
 * versions.
 */
export const saidText = v.union([v.string(), message]) as unknown as v.GenericSchema<Said>

const isMessage = (value: object): value is Message =>
  'key' in value && Object.keys(value).every((name) => name === 'key' || name === 'values')

/** The same with the text of every outermost message beside it. */
export function withTexts<T>(value: T, say: (said: Said) => string): T {
  const add = (one: unknown): unknown => {
    if (one === null || typeof one !== 'object') return one
    if (Array.isArray(one)) return one.map(add)
    if (isMessage(one)) return { ...one, text: say(one) }
    return Object.fromEntries(Object.entries(one).map(([name, part]) => [name, add(part)]))
  }
  return add(value) as T
}

/** Whether something is a message, with its text beside it or without. */
const isStoredMessage = (value: object): value is Message =>
  'key' in value && Object.keys(value).every((name) => name === 'text' || name === 'key' || name === 'values')

/** The same without texts that can be said anew: a page need not carry them. */
export function withoutTexts<T>(value: T, isKnown: (key: string) => boolean): T {
  const strip = (one: unknown): unknown => {
    if (one === null || typeof one !== 'object') return one
    if (Array.isArray(one)) return one.map(strip)
    if (!isStoredMessage(one))
      return Object.fromEntries(Object.entries(one).map(([name, part]) => [name, strip(part)]))
    const { text: _, ...message } = one
    return isKnown(one.key) ? message : one
  }
  return strip(value) as T
}

/** Something to be said out of a column of text, which holds a message as JSON, or the sentence of an earlier version. */
export function readSaid(stored: string): Said {
  if (!stored.startsWith('{')) return stored
  const read = v.safeParse(saidText, JSON.parse(stored))
  return read.success ? read.output : stored
}
