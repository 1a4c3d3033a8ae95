'use server'

import { message } from '@/core/message/message'
import { revalidatePath } from 'next/cache'
import { currentTime } from '@/clock'
import { isSameWishes } from '@/core/job/mergedWishes'
import { uuidOf } from '@/contracts/fields'
import { finishInput } from '@/contracts/intake'
import { planChange, type KeptChange } from '@/contracts/planChange'
import { hourInput } from '@/contracts/protection'
import { database } from '@/services/records'
import { discardJob, finishJob, planFor, replanJob } from '@/services/jobs'
import { action } from '../access'
import { answerOf, leadTo, type Refusal } from '../refusal'

const jobId = uuidOf(message('problems.notThere.job'))

/** Discards a plan that was never started. */
export const discardPlan = action('bay', [jobId], async (id): Promise<Refusal> => {
  await discardJob(await database(), id)
  return leadTo('/')
})

/** Plans a job that was not started again, with what was changed, and saves it. */
export const keepChange = action('bay', [jobId, planChange], async (id, change): Promise<KeptChange> => {
  const { problems, value } = await answerOf(async () => replanJob(await database(), id, change))
  if (!value || !change.wishes || isSameWishes(value.jobFile.wishes, change.wishes)) return { problems }
  return { problems, merged: { wishes: value.jobFile.wishes, plan: value.plan } }
})

/** Gives a job its day and time. */
export const keepHour = action('bay', [jobId, hourInput], async (id, { plannedFor }): Promise<Refusal> => {
  const answer = await answerOf(async () => planFor(await database(), id, plannedFor, currentTime()))
  revalidatePath('/', 'layout')
  return { problems: answer.problems }
})

/** Ends a job and saves it to the log. */
export const endJob = action('bay', [jobId, finishInput], async (id, input): Promise<Refusal> => {
  const { problems } = await answerOf(async () => finishJob(await database(), id, input, currentTime()))
  return problems.length > 0 ? { problems } : leadTo('/log')
})
