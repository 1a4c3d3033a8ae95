'use server'

import { message } from '@/core/message/message'
import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import { succeed, type Result } from '@/core/result'
import { uuidOf } from '@/contracts/fields'
import { layerInput, odometerInput, renewalInput, wheelChangeInput } from '@/contracts/protection'
import { database, type Database } from '@/services/records'
import {
  changeWheels,
  putLayerOn,
  removeLastWheelChange,
  removeLook,
  renewWheels,
  tellDriving,
} from '@/services/protection'
import { action } from '../access'
import { answerOf, type Refusal } from '../refusal'

type Service<Input> = (database: Database, id: string, input: Input, now: Date) => Promise<Result<unknown>>

const wheelSetId = uuidOf(message('problems.notThere.wheelSet'))
const vehicleId = uuidOf(message('problems.notThere.vehicle'))

/** Runs a service; what it changed is drawn anew. */
async function run<Input>(id: string, input: Input, service: Service<Input>): Promise<Refusal> {
  const { problems } = await answerOf(async () => service(await database(), id, input, currentTime()))
  if (problems.length === 0) revalidatePath('/', 'layout')
  return { problems }
}

/** Deletes a protection check. */
export const takeLookBack = action(
  'bay',
  [wheelSetId, uuidOf(message('problems.notThere.check'))],
  async (set, id): Promise<Refusal> => run(set, id, async (db) => succeed(await removeLook(db, set, id))),
)

/** Saves which set of a vehicle goes on. */
export const keepWheelChange = action('owner', [vehicleId, wheelChangeInput], async (id, input) =>
  run(id, input, changeWheels),
)

/** Deletes the last change of wheels. */
export const takeWheelChangeBack = action(
  'owner',
  [vehicleId, uuidOf(message('problems.notThere.wheelChange'))],
  async (vehicle, id): Promise<Refusal> =>
    run(vehicle, id, async (db) => succeed(await removeLastWheelChange(db, vehicle, id))),
)

/** Saves protection that was put on outside a visit. */
export const keepLayer = action('owner', [wheelSetId, layerInput], async (id, input) =>
  run(id, input, putLayerOn),
)

/** Saves that wheels are new or were repainted. */
export const keepRenewal = action('owner', [wheelSetId, renewalInput], async (id, input) =>
  run(id, input, renewWheels),
)

/** Saves a reading of the odometer. */
export const keepReading = action('owner', [wheelSetId, odometerInput], async (id, input) =>
  run(id, input, tellDriving),
)
