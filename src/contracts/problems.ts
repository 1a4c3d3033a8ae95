import { message, type Message } from '@/core/message/message'
import { messageOfIssue } from './issueText'
import * as v from 'valibot'
import { failWith, showFound, succeed, type Problem, type Result } from '@/core/result'

function pathOf(issue: v.BaseIssue<unknown>): string {
  return (issue.path ?? []).reduce((text, item) => {
    const { key } = item as { key?: unknown }
    return typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`
  }, '')
}

const wanted: Partial<Record<string, Message>> = {
  string: message('fields.text'),
  number: message('fields.number'),
  boolean: message('fields.boolean'),
  array: message('fields.list'),
  strict_object: message('fields.object'),
}

/** What to do about what Valibot found. */
export function fixOf(issue: v.BaseIssue<unknown>): Message {
  if (issue.kind === 'schema' && issue.received === 'undefined') return message('fields.missing')
  if (issue.type === 'strict_object' && issue.expected === 'never') return message('fields.unknown')
  const own = messageOfIssue(issue.message)
  if (own || issue.kind !== 'schema') return own ?? message('fields.notValid')
  return wanted[issue.type] ?? message('fields.expected', { expected: issue.expected ?? issue.type })
}

/** Turns what Valibot found into problems a person can act on. */
export const problemsOf = (issues: readonly v.BaseIssue<unknown>[]): Problem[] =>
  issues.map((issue) => ({ path: pathOf(issue), found: showFound(issue.input), fix: fixOf(issue) }))

/** Parses an unknown value at a boundary. */
export function parse<TSchema extends v.GenericSchema>(
  schema: TSchema,
  input: unknown,
): Result<v.InferOutput<TSchema>> {
  const parsed = v.safeParse(schema, input)
  return parsed.success ? succeed(parsed.output) : failWith(problemsOf(parsed.issues))
}
