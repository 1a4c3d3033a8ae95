'use server'

import { currentTime } from '@/clock'
import * as v from 'valibot'
import { isUuid, versionNumber } from '@/contracts/fields'
import { intakeInput } from '@/contracts/intake'
import { parse } from '@/contracts/problems'
import { newSetOwner, wheelSetInput, type NewSetOwner, type WheelSetInput } from '@/contracts/wheelSet'
import { database } from '@/data/connection'
import type { Database } from '@/data/database'
import { createWheelSet, updateWheelSet } from '@/data/queries/wheelSets'
import { isNameKnown, type SeenVehicle } from '@/data/queries/vehicles'
import { planJob } from '@/services/planJob'
import { leadTo, refusalOf, refuse, type Refusal } from '../refusal'

const meanwhile = (what: string): string =>
  `${what} was changed in another window since you opened it. Nothing was overwritten; your entries are still here. Open the saved state, and enter what is missing there.`

const ownerOf = async (
  db: Database,
  owner: NewSetOwner,
  vehicle: WheelSetInput['vehicle'],
): Promise<SeenVehicle | null | Refusal> => {
  if (owner.kind === 'known') return owner
  return owner.kind === 'unsaid' && (await isNameKnown(db, vehicle.name))
    ? refuse(
        'vehicle',
        vehicle.name,
        'There is a vehicle of this name. Say whether this is a set of it or another vehicle.',
      )
    : null
}

/** Saves a new wheel set. Sent twice it is stored once. */
export async function saveNewWheelSet(id: unknown, ownerInput: unknown, input: unknown): Promise<Refusal> {
  const read = parse(wheelSetInput, input)
  if (!read.ok) return { problems: read.problems }
  const owner = parse(newSetOwner, ownerInput)
  if (!owner.ok) return { problems: owner.problems }
  if (!isUuid(id)) return refuse('', 'the wheel set', 'Load the page again; your entries stay.')
  try {
    const db = await database()
    const seen = await ownerOf(db, owner.value, read.value.vehicle)
    if (seen && 'problems' in seen) return seen
    const outcome = await createWheelSet(db, id, read.value, seen)
    if (outcome !== 'saved')
      return refuse(
        'vehicle',
        read.value.vehicle.name,
        outcome === 'gone'
          ? 'This vehicle was removed meanwhile; nothing was saved.'
          : meanwhile('This vehicle'),
      )
  } catch (error) {
    return refusalOf(error)
  }
  return leadTo(`/wheels/${id}`)
}

const versions = v.strictObject({ version: versionNumber, vehicleVersion: versionNumber })

/** Saves an edit of a wheel set over the versions it was made from. */
export async function saveWheelSet(id: unknown, from: unknown, input: unknown): Promise<Refusal> {
  const read = parse(wheelSetInput, input)
  if (!read.ok) return { problems: read.problems }
  if (!isUuid(id) || !v.is(versions, from))
    return refuse('', 'the wheel set', 'This wheel set does not exist.')
  try {
    const outcome = await updateWheelSet(await database(), id, from, read.value)
    if (outcome === 'gone')
      return refuse('', read.value.name, 'This wheel set was removed meanwhile; nothing was saved.')
    if (outcome === 'changedMeanwhile')
      return refuse('version', String(from.version), meanwhile('This wheel set or its vehicle'))
  } catch (error) {
    return refusalOf(error)
  }
  return leadTo(`/wheels/${id}`)
}

/** Plans a visit from what was seen at the wheels and opens the plan. */
export async function planVisit(wheelSetId: unknown, input: unknown): Promise<Refusal> {
  if (!isUuid(wheelSetId)) return refuse('', 'the wheel set', 'This wheel set does not exist.')
  const read = parse(intakeInput, input)
  if (!read.ok) return { problems: read.problems }
  let jobId: string
  try {
    const planned = await planJob(await database(), wheelSetId, read.value, currentTime())
    if (!planned.ok) return { problems: planned.problems }
    jobId = planned.value.jobId
  } catch (error) {
    return refusalOf(error)
  }
  return leadTo(`/jobs/${jobId}`)
}
