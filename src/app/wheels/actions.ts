'use server'

import { message, type Message } from '@/core/message/message'
import { currentTime } from '@/clock'
import * as v from 'valibot'
import { uuidOf, versionNumber } from '@/contracts/fields'
import { intakeInput } from '@/contracts/intake'
import { newSetOwner, wheelSetInput, type NewSetOwner, type WheelSetInput } from '@/contracts/wheelSet'
import { database, type Database } from '@/services/records'
import { createWheelSet, isNameKnown, type SeenVehicle, updateWheelSet } from '@/services/wheel-sets'
import { planJob } from '@/services/jobs'
import { action } from '../access'
import { answerOf, leadTo, refusalOf, refuse, type Refusal } from '../refusal'

const meanwhile = (what: 'vehicle' | 'set'): Message => message('problems.wheelSet.meanwhile', { what })

const ownerOf = async (
  db: Database,
  owner: NewSetOwner,
  vehicle: WheelSetInput['vehicle'],
): Promise<SeenVehicle | null | Refusal> => {
  if (owner.kind === 'known') return owner
  return owner.kind === 'unsaid' && (await isNameKnown(db, vehicle.name))
    ? refuse('vehicle', vehicle.name, message('problems.wheelSet.vehicleNamed'))
    : null
}

/** Saves a new wheel set. Sent twice it is stored once. */
export const saveNewWheelSet = action(
  'owner',
  [uuidOf(message('problems.wheelSet.reload')), newSetOwner, wheelSetInput],
  async (id, owner, input): Promise<Refusal> => {
    try {
      const db = await database()
      const seen = await ownerOf(db, owner, input.vehicle)
      if (seen && 'problems' in seen) return seen
      const outcome = await createWheelSet(db, id, input, seen)
      if (outcome !== 'saved')
        return refuse(
          'vehicle',
          input.vehicle.name,
          outcome === 'gone' ? message('problems.wheelSet.vehicleGone') : meanwhile('vehicle'),
        )
    } catch (error) {
      return refusalOf(error)
    }
    return leadTo(`/wheels/${id}`)
  },
)

const wheelSetId = uuidOf(message('problems.notThere.wheelSet'))
const versions = v.strictObject({ version: versionNumber, vehicleVersion: versionNumber })

/** Saves an edit of a wheel set over the versions it was made from. */
export const saveWheelSet = action(
  'owner',
  [wheelSetId, versions, wheelSetInput],
  async (id, from, input): Promise<Refusal> => {
    try {
      const outcome = await updateWheelSet(await database(), id, from, input)
      if (outcome === 'gone') return refuse('', input.name, message('problems.wheelSet.gone'))
      if (outcome === 'changedMeanwhile') return refuse('version', String(from.version), meanwhile('set'))
    } catch (error) {
      return refusalOf(error)
    }
    return leadTo(`/wheels/${id}`)
  },
)

/** Plans a visit from what was seen at the wheels and opens the plan. */
export const planVisit = action('bay', [wheelSetId, intakeInput], async (id, input): Promise<Refusal> => {
  const planned = await answerOf(async () => planJob(await database(), id, input, currentTime()))
  return planned.value ? leadTo(`/jobs/${planned.value.jobId}`) : { problems: planned.problems }
})
