'use server'

import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import type { Problem } from '@/core/result'
import { isUuid } from '@/contracts/fields'
import { finishInput } from '@/contracts/intake'
import { hourInput } from '@/contracts/protection'
import { planChange } from '@/contracts/planChange'
import { parse } from '@/contracts/problems'
import { database } from '@/data/connection'
import { discardJob } from '@/data/queries/jobs'
import { finishJob } from '@/services/finishJob'
import { planFor } from '@/services/planFor'
import { replanJob } from '@/services/planJob'
import { answerOf, leadTo, refusalOf, refuse, type Refusal } from '../refusal'

/** Throws a plan away that was never started. */
export async function discardPlan(jobId: unknown): Promise<Refusal> {
  if (isUuid(jobId)) await discardJob(await database(), jobId)
  return leadTo('/')
}

/** Plans a job that was not begun anew with what was changed and keeps it. */
export async function keepChange(jobId: unknown, input: unknown): Promise<{ problems: readonly Problem[] }> {
  if (!isUuid(jobId)) return { problems: [{ path: '', found: 'the job', mend: 'This job does not exist.' }] }
  const read = parse(planChange, input)
  if (!read.ok) return { problems: read.problems }
  try {
    const kept = await replanJob(await database(), jobId, read.value)
    return { problems: kept.ok ? [] : kept.problems }
  } catch (error) {
    return refusalOf(error)
  }
}

/** Gives a job its day and hour. */
export async function keepHour(jobId: unknown, input: unknown): Promise<Refusal> {
  if (!isUuid(jobId)) return refuse('', 'the job', 'This job does not exist.')
  const read = parse(hourInput, input)
  if (!read.ok) return { problems: read.problems }
  const answer = await answerOf(async () =>
    planFor(await database(), jobId, read.value.plannedFor, currentTime()),
  )
  revalidatePath('/', 'layout')
  return { problems: answer.problems }
}

/** Ends a job and writes it into the log. */
export async function endJob(jobId: unknown, input: unknown): Promise<Refusal> {
  if (!isUuid(jobId)) return { problems: [{ path: '', found: 'the job', mend: 'This job does not exist.' }] }
  const read = parse(finishInput, input)
  if (!read.ok) return { problems: read.problems }
  try {
    const ended = await finishJob(await database(), jobId, read.value, currentTime())
    if (!ended.ok) return { problems: ended.problems }
  } catch (error) {
    return refusalOf(error)
  }
  return leadTo('/log')
}
