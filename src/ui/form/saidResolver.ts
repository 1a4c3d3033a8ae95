import { valibotResolver } from '@hookform/resolvers/valibot'
import type { FieldValues, Resolver } from 'react-hook-form'
import type * as v from 'valibot'
import { messageOfIssue } from '@/contracts/issueText'
import { message } from '@/core/message/message'
import type { Say } from '@/i18n/sayer'

/** What a field is told; Valibot's own text says nothing to a person. */
const toldOf = (text: string, type: unknown) =>
  messageOfIssue(text) ?? message(type === 'number' ? 'fields.enterNumber' : 'fields.notValid')

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

/** Checks a form by the schema that the program checks it with when it arrives, and says what is wrong at each field. */
export function saidResolver<Input extends FieldValues, Output>(
  schema: v.GenericSchema<Input, Output>,
  say: Say,
): Resolver<Input, unknown, Output> {
  const check = valibotResolver(schema) as Resolver<Input, unknown, Output>
  return async (values, context, options) => {
    const found = await check(values, context, options)
    return { ...found, errors: saidErrors(found.errors, say) } as typeof found
  }
}
