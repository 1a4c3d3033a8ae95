import { message, type Message, type Said } from '@/core/message/message'

/**
 * One thing wrong with an input: where it is, what was found there and how to fix it. At the doors of the program, where it is said to
 * somebody, its words are text.
 */
export interface Problem<Words extends Said = Message> {
  /** Path of the field, e.g. `corners[0].tyreCode`; empty for the whole input. */
  readonly path: string
  /** What was found, shortened for showing: a value as it is, or what it amounts to. */
  readonly found: Words | string
  /** What to do. */
  readonly fix: Words
}

/** Expected failure is a value; a throw is a bug. */
export type Result<T, Words extends Said = Message> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem<Words>[] }

export const succeed = <T>(value: T): Result<T> => ({ ok: true, value })

export const fail = (...problems: Problem[]): Result<never> => ({ ok: false, problems })

/** More than these nobody reads. */
const maxProblems = 20

/** For lists of any length: nothing is spread over the stack, and what is too much to read is counted. */
export function failWith(problems: readonly Problem[]): Result<never> {
  const rest = problems.length - maxProblems
  if (rest <= 0) return { ok: false, problems }
  const counted = {
    path: '',
    found: message('fields.problemCount', { count: problems.length }),
    fix: message('fields.fixFirst', { count: rest }),
  }
  return { ok: false, problems: [...problems.slice(0, maxProblems), counted] }
}

const longestShown = 60

/** Lists and objects are looked into so far; more would not be shown anyway. */
const entriesShown = 20
const depthShown = 4

/** What is shown of a value, without reading all of it: junk may be huge or nested without end. */
function excerpt(value: unknown, depth: number): unknown {
  if (typeof value === 'string') return value.slice(0, 4 * longestShown)
  if (typeof value !== 'object' || value === null) return value
  if (depth === 0) return Array.isArray(value) ? '[…]' : '{…}'
  if (Array.isArray(value)) return value.slice(0, entriesShown).map((entry) => excerpt(entry, depth - 1))
  const shown: Record<string, unknown> = {}
  let entries = 0
  for (const key in value) {
    if ((entries += 1) > entriesShown) break
    shown[key] = excerpt((value as Record<string, unknown>)[key], depth - 1)
  }
  return shown
}

/** Shortens a found value so that junk of any size stays readable in a message. */
export function showFound(value: unknown): string {
  if (Array.isArray(value) && value.length > entriesShown) return `a list of ${value.length}`
  const shown = excerpt(value, depthShown)
  const text = JSON.stringify(shown) ?? String(value)
  const characters = Array.from(text)
  return characters.length > longestShown ? `${characters.slice(0, longestShown).join('')}…` : text
}
