import { valibotResolver } from '@hookform/resolvers/valibot'
import type { FieldValues, Resolver } from 'react-hook-form'
import type * as v from 'valibot'
import { messageOfIssue } from '@/contracts/issueText'
import { message, type Message } from '@/core/message/message'
import type { SaidProblem } from '@/i18n/saidProblems'
import type { Say } from '@/i18n/sayer'

/** What a field is told; Valibot's own text says nothing to a person. */
const toldOf = (text: string, type: unknown) =>
  messageOfIssue(text) ?? message(type === 'number' ? 'fields.enterNumber' : 'fields.notValid')

/** Whether the page has the words of every error. */
function canSayAll(errors: object, canSay: (said: Message) => boolean): boolean {
  const { message: text, type } = errors as { message?: unknown; type?: unknown }
  if (typeof text === 'string') return canSay(toldOf(text, type))
  return Object.entries(errors).every(
    ([name, inner]) =>
      name === 'ref' || typeof inner !== 'object' || inner === null || canSayAll(inner as object, canSay),
  )
}

/** Errors of a form, at any depth, with what they say as text. */
function saidErrors(errors: object, say: Say): object {
  const type = (errors as { type?: unknown }).type
  const part = ([name, value]: [string, unknown]): [string, unknown] => {
    if (name === 'message' && typeof value === 'string') return [name, say(toldOf(value, type))]
    if (name === 'ref' || typeof value !== 'object' || value === null) return [name, value]
    if (!Array.isArray(value)) return [name, saidErrors(value, say)]
    return [name, value.map((one: unknown) => (one ? saidErrors(one, say) : one))]
  }
  return Object.fromEntries(Object.entries(errors).map(part))
}

/**
 * Checks a form by the schema that the program checks it with when it arrives, and says what is wrong at each field.
 * @param inputOf what is sent of the values
 * @param canSay whether the page has the words of a problem
 */
export function saidResolver<Values extends FieldValues, Output>(
  schema: v.GenericSchema,
  say: Say,
  inputOf: (values: Values) => unknown = (values) => values,
  canSay: (said: Message) => boolean = () => true,
): Resolver<Values, unknown, Output> {
  const check = valibotResolver(schema as v.GenericSchema<Values, Output>) as Resolver<
    Values,
    unknown,
    Output
  >
  return async (values, context, options) => {
    const found = await check(inputOf(values) as Values, context, options)
    // Where it has not, the form is sent, and the program says all of them at once.
    const errors = canSayAll(found.errors, canSay) ? saidErrors(found.errors, say) : {}
    return { ...found, errors } as typeof found
  }
}

/** The errors of a form as problems, each with the path of its field. */
export function problemsIn(errors: object, path = ''): SaidProblem[] {
  const { message: fix } = errors as { message?: unknown }
  if (typeof fix === 'string') return [{ path, found: '', fix }]
  return Object.entries(errors).flatMap(([name, inner]) => {
    if (typeof inner !== 'object' || inner === null) return []
    const at = Array.isArray(errors) ? `${path}[${name}]` : path === '' ? name : `${path}.${name}`
    return problemsIn(inner as object, name === 'root' ? path : at)
  })
}
