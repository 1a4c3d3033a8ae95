import { problemAnswer } from '@/app/problemAnswer'
import { message } from '@/core/message/message'
import { currentTime } from '@/clock'
import type { GenericSchema, InferOutput } from 'valibot'
import type { Result } from '@/core/result'
import { isUuid } from '@/contracts/fields'
import { database, type Database, isDataFailure } from '@/services/records'
import { readJson } from '../../readJson'

interface Taking<Schema extends GenericSchema, Value> {
  readonly schema: Schema
  readonly maxBytes: number
  readonly keep: (
    database: Database,
    id: string,
    input: InferOutput<Schema>,
    now: Date,
  ) => Promise<Result<Value>>
}

/** Takes something that was entered for a wheel set, perhaps long ago on a device without any network. Sent twice it is kept once. */
export async function takeForSet<Schema extends GenericSchema, Value>(
  request: Request,
  id: string,
  { schema, maxBytes, keep }: Taking<Schema, Value>,
): Promise<Response> {
  const named = JSON.stringify(id.slice(0, 40))
  if (!isUuid(id))
    return problemAnswer(404, [{ path: 'id', found: named, fix: message('problems.notThere.wheelSet') }])
  const read = await readJson(request, schema, maxBytes)
  if (!read.ok) return problemAnswer(422, read.problems)
  try {
    const kept = await keep(await database(), id, read.value, currentTime())
    return kept.ok ? Response.json({ kept: kept.value }) : problemAnswer(409, kept.problems)
  } catch (error) {
    // The device keeps it and sends it again once there is room.
    if (isDataFailure(error)) return problemAnswer(503, [{ path: '', found: error.reason, fix: error.said }])
    throw error
  }
}
