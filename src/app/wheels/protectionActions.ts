'use server'

import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import type { GenericSchema, InferOutput } from 'valibot'
import type { Result } from '@/core/result'
import { isUuid } from '@/contracts/fields'
import { parse } from '@/contracts/problems'
import { layerInput, odometerInput, renewalInput, wheelChangeInput } from '@/contracts/protection'
import { database } from '@/data/connection'
import type { Database } from '@/data/database'
import { removeLook } from '@/data/queries/looks'
import { removeLastWheelChange } from '@/data/queries/wheelChanges'
import { changeWheels } from '@/services/changeWheels'
import { putLayerOn, renewWheels } from '@/services/putLayerOn'
import { tellDriving } from '@/services/tellDriving'
import { answerOf, refuse, type Refusal } from '../refusal'

type Service<Input> = (database: Database, id: string, input: Input, now: Date) => Promise<Result<unknown>>

/** Checks the id and the input of an action, and runs its service. */
async function run<Schema extends GenericSchema>(
  id: unknown,
  schema: Schema,
  input: unknown,
  service: Service<InferOutput<Schema>>,
): Promise<Refusal> {
  if (!isUuid(id)) return refuse('', 'the wheel set', 'This wheel set does not exist.')
  const read = parse(schema, input)
  if (!read.ok) return { problems: read.problems }
  const answer = await answerOf(async () => service(await database(), id, read.value, currentTime()))
  if (answer.problems.length === 0) revalidatePath('/', 'layout')
  return answer
}

export async function takeLookBack(wheelSetId: unknown, lookId: unknown): Promise<void> {
  if (isUuid(wheelSetId) && isUuid(lookId)) await removeLook(await database(), wheelSetId, lookId)
  revalidatePath('/', 'layout')
}

/** Takes down which set of a vehicle goes on. */
export async function keepWheelChange(vehicleId: unknown, input: unknown): Promise<Refusal> {
  return run(vehicleId, wheelChangeInput, input, changeWheels)
}

export async function takeWheelChangeBack(vehicleId: unknown, changeId: unknown): Promise<void> {
  if (isUuid(vehicleId) && isUuid(changeId))
    await removeLastWheelChange(await database(), vehicleId, changeId)
  revalidatePath('/', 'layout')
}

/** Enters protection that was put on outside a visit. */
export async function keepLayer(wheelSetId: unknown, input: unknown): Promise<Refusal> {
  return run(wheelSetId, layerInput, input, putLayerOn)
}

/** Says that wheels are new or were repainted. */
export async function keepRenewal(wheelSetId: unknown, input: unknown): Promise<Refusal> {
  return run(wheelSetId, renewalInput, input, renewWheels)
}

export async function keepReading(wheelSetId: unknown, input: unknown): Promise<Refusal> {
  return run(wheelSetId, odometerInput, input, tellDriving)
}
