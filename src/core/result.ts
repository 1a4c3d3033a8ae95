/** One thing wrong with an input: where it is, what was found there and how to mend it. */
export interface Problem {
  /** Path of the field, e.g. `corners[0].tyreCode`; empty for the whole input. */
  readonly path: string
  /** What was found, shortened for showing. */
  readonly found: string
  /** What to do, as a sentence to a person. */
  readonly mend: string
}

/** Expected failure is a value; a throw is a bug. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] }

export const succeed = <T>(value: T): Result<T> => ({ ok: true, value })

export const fail = (...problems: Problem[]): Result<never> => ({ ok: false, problems })

const longestShown = 60

/** Shortens a found value so that junk of any size stays readable in a message. */
export function showFound(value: unknown): string {
  const text = typeof value === 'string' ? JSON.stringify(value) : (JSON.stringify(value) ?? String(value))
  const characters = Array.from(text)
  return characters.length > longestShown ? `${characters.slice(0, longestShown).join('')}…` : text
}
