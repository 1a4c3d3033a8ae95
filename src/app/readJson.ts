import type { GenericSchema, InferOutput } from 'valibot'
import type { Result } from '@/core/result'
import { readJsonText } from '@/contracts/jsonText'
import { parse } from '@/contracts/problems'
import { readLimitedText } from './api/readLimitedText'

/** The checked body of a request. */
export async function readJson<Schema extends GenericSchema>(
  request: Request,
  schema: Schema,
  maxBytes = 10_000,
): Promise<Result<InferOutput<Schema>>> {
  const text = await readLimitedText(request, maxBytes)
  if (!text.ok) return text
  const json = readJsonText(text.value)
  return json.ok ? parse(schema, json.value) : json
}
