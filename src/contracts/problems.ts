import * as v from 'valibot'
import { failWith, showFound, succeed, type Problem, type Result } from '@/core/result'

function pathOf(issue: v.BaseIssue<unknown>): string {
  return (issue.path ?? []).reduce((text, item) => {
    const { key } = item as { key?: unknown }
    return typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`
  }, '')
}

function mendOf(issue: v.BaseIssue<unknown>): string {
  if (issue.kind === 'schema' && issue.received === 'undefined') return 'This field is missing; add it.'
  if (issue.type === 'strict_object' && issue.expected === 'never')
    return 'This field is not known; remove it or check its spelling.'
  const wanted: Record<string, string> = {
    string: 'Give a text in quotes.',
    number: 'Give a number, without quotes.',
    boolean: 'Give true or false.',
    array: 'Give a list in square brackets.',
    strict_object: 'Give an object in curly brackets.',
  }
  if (issue.kind === 'schema') return wanted[issue.type] ?? issue.message
  return issue.message
}

/** Turns what Valibot found into problems a person can act on. */
export const problemsOf = (issues: readonly v.BaseIssue<unknown>[]): Problem[] =>
  issues.map((issue) => ({ path: pathOf(issue), found: showFound(issue.input), mend: mendOf(issue) }))

/** Parses an unknown value at a boundary. */
export function parse<TSchema extends v.GenericSchema>(
  schema: TSchema,
  input: unknown,
): Result<v.InferOutput<TSchema>> {
  const parsed = v.safeParse(schema, input)
  return parsed.success ? succeed(parsed.output) : failWith(problemsOf(parsed.issues))
}
