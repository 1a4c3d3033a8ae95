'use server'

import { revalidatePath } from 'next/cache'
import { redirect } from 'next/navigation'
import type { Problem } from '@/core/result'
import { isUuid } from '@/contracts/fields'
import { intakeInput } from '@/contracts/intake'
import { parse } from '@/contracts/problems'
import { wheelSetInput } from '@/contracts/wheelSet'
import { database } from '@/data/connection'
import { isDataFailure } from '@/data/dataFailure'
import { createWheelSet, updateWheelSet } from '@/data/queries/wheelSets'
import { planJob } from '@/services/planJob'

/** What a form shows when its action was refused; a success redirects instead. */
export interface Refusal {
  readonly problems: readonly Problem[]
}

const refuse = (path: string, found: string, mend: string): Refusal => ({ problems: [{ path, found, mend }] })

/** A full disk is something a person can mend; everything else is a bug and goes to the error page. */
function refusalOf(error: unknown): Refusal {
  if (isDataFailure(error)) return refuse('', error.reason, error.message)
  throw error
}

/** Saves a new wheel set, or an edit of the version it was made from. */
export async function saveWheelSet(id: string | null, fromVersion: number, input: unknown): Promise<Refusal> {
  const read = parse(wheelSetInput, input)
  if (!read.ok) return { problems: read.problems }
  if (id !== null && (!isUuid(id) || !Number.isInteger(fromVersion))) {
    return refuse('', String(id), 'This wheel set does not exist.')
  }
  let savedId: string
  try {
    const db = await database()
    if (id === null) {
      savedId = await createWheelSet(db, read.value)
    } else {
      const outcome = await updateWheelSet(db, id, fromVersion, read.value)
      if (outcome === 'gone')
        return refuse('', read.value.name, 'This wheel set was removed meanwhile; nothing was saved.')
      if (outcome === 'changedMeanwhile') {
        return refuse(
          'version',
          String(fromVersion),
          'This wheel set was changed in another window since you opened it. Nothing was overwritten; your entries are still here. Open the saved state, and enter what is missing there.',
        )
      }
      savedId = id
    }
  } catch (error) {
    return refusalOf(error)
  }
  revalidatePath('/wheels')
  redirect(`/wheels/${savedId}`)
}

/** Plans a visit from what was seen at the wheels and opens the plan. */
export async function planVisit(wheelSetId: string, input: unknown): Promise<Refusal> {
  if (!isUuid(wheelSetId)) return refuse('', 'the wheel set', 'This wheel set does not exist.')
  const read = parse(intakeInput, input)
  if (!read.ok) return { problems: read.problems }
  let jobId: string
  try {
    const planned = await planJob(await database(), wheelSetId, read.value, new Date())
    if (!planned.ok) return { problems: planned.problems }
    jobId = planned.value.jobId
  } catch (error) {
    return refusalOf(error)
  }
  revalidatePath('/')
  redirect(`/jobs/${jobId}`)
}
