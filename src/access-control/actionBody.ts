import { message, type Message } from '@/core/message/message'
import type { Refused } from './siteCheck'

/** Larger than any form; imports come as text within it. */
const maxBytes = 4_500_000

const unreadable = (
  found: Message | string,
): Omit<Refused, 'status'> & { readonly status: 400 | 413 | 415 } => ({
  status: 400,
  found,
  fix: message('problems.door.form'),
})

/** Values that JSON has no word for, as the framework writes them; and texts that begin with a dollar sign. */
const written = /^\$(?:\$|undefined$|NaN$|-?Infinity$|-0$|D\d{4}-|n-?\d+$)/
/** A part of the body that stands for a value, or a value within it: what is sent twice is written once. */
const reference = /^\$[A-Z@]?([0-9a-f]+)((?::.*)?)$/s

/** Finds a part by its name; undefined: there is none. */
type PartNamed = (name: string) => unknown

/** Whether a path of keys leads to something. */
const leadsSomewhere = (part: unknown, path: readonly string[]): boolean =>
  path.length === 0
    ? part !== undefined
    : typeof part === 'object' &&
      part !== null &&
      Object.hasOwn(part, path[0] as string) &&
      leadsSomewhere((part as Record<string, unknown>)[path[0] as string], path.slice(1))

/** Whether every text of a value can be read; the framework fails on one that points nowhere. */
function isReadable(value: unknown, partNamed: PartNamed): boolean {
  if (typeof value === 'string') {
    if (!value.startsWith('$') || written.test(value)) return true
    const [, name, path = ''] = reference.exec(value) ?? []
    return name !== undefined && leadsSomewhere(partNamed(name), path.split(':').slice(1))
  }
  if (typeof value !== 'object' || value === null) return true
  return Object.values(value).every((inner) => isReadable(inner, partNamed))
}

/** Whether a form's parts can be read: those that are JSON by what they hold, the others are texts and files. */
function isReadableForm(form: FormData): boolean {
  const parts = new Map(
    [...form].map(([name, part]): [string, unknown] => [
      name,
      typeof part === 'string' && /^[0-9a-f]+$/.test(name) ? JSON.parse(part) : part,
    ]),
  )
  // The fields of a form within the form are named after it.
  const partNamed: PartNamed = (name) =>
    parts.get(name) ?? [...parts.keys()].find((own) => own.startsWith(`${name}_`))
  return [...parts.values()].every((part) => part instanceof Blob || isReadable(part, partNamed))
}

/**
 * Why what was sent to an action of a page cannot be taken; null: it can. The framework itself fails on what it cannot read.
 * @param body a copy of the request; the framework reads its own
 */
export async function actionRefusal(body: Request): Promise<ReturnType<typeof unreadable> | null> {
  const type = body.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase() ?? ''
  if (!body.headers.has('next-action')) return { ...unreadable(type.slice(0, 60)), status: 415 }
  const length = Number(body.headers.get('content-length') ?? 0)
  if (length > maxBytes)
    return { ...unreadable(message('problems.file.bytes', { bytes: length })), status: 413 }
  try {
    if (type === 'multipart/form-data') {
      return isReadableForm(await body.formData()) ? null : unreadable(message('problems.door.noValue'))
    }
    const text = await body.text()
    if (text.length > maxBytes)
      return { ...unreadable(message('problems.file.bytes', { bytes: text.length })), status: 413 }
    const sent: unknown = JSON.parse(text)
    if (!Array.isArray(sent)) return unreadable(message('problems.door.noList'))
    const partNamed: PartNamed = (name) => (name === '0' ? sent : undefined)
    return isReadable(sent, partNamed) ? null : unreadable(message('problems.door.noValue'))
  } catch {
    return unreadable(message('problems.door.unreadable'))
  }
}
