import type { GenericSchema, InferOutput } from 'valibot'
import { fail, type Result } from '@/core/result'
import { parse } from '@/contracts/problems'
import { readLimitedText } from './api/readLimitedText'

/** The checked body of a request. */
export async function readJson<Schema extends GenericSchema>(
  request: Request,
  schema: Schema,
  mostBytes = 10_000,
): Promise<Result<InferOutput<Schema>>> {
  const text = await readLimitedText(request, mostBytes)
  if (!text.ok) return text
  try {
    return parse(schema, JSON.parse(text.value))
  } catch {
    return fail({ path: '', found: text.value.slice(0, 40), mend: 'Send JSON.' })
  }
}
