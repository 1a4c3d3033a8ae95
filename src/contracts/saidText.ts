import * as v from 'valibot'
import { isMessage, type Said } from '@/core/message/message'

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

/** The same without texts that can be said anew: a page need not carry them. */
export function withoutTexts<T>(value: T, isKnown: (key: string) => boolean): T {
  const strip = (one: unknown): unknown => {
    if (one === null || typeof one !== 'object') return one
    if (Array.isArray(one)) return one.map(strip)
    if (!isMessage(one))
      return Object.fromEntries(Object.entries(one).map(([name, part]) => [name, strip(part)]))
    const { text: _, ...message } = one
    return isKnown(one.key) ? message : one
  }
  return strip(value) as T
}

const storedMessage = v.pipe(v.string(), v.parseJson(), message)

/** Something to be said out of a column of text, which holds a message as JSON, or the sentence of an earlier version. */
export function readSaid(stored: string): Said {
  const read = v.safeParse(storedMessage, stored)
  return read.success && isMessage(read.output) ? read.output : stored
}

/** The same for a column of text; `readSaid` reads it back. */
export const writeSaid = (said: Said): string => (typeof said === 'string' ? said : JSON.stringify(said))
