'use server'

import * as v from 'valibot'
import { photographRoomInput } from '@/contracts/photograph'
import { parse } from '@/contracts/problems'
import { database } from '@/data/connection'
import { countPhotographs } from '@/data/queries/photographs'
import { makePhotographRoom } from '@/services/photographs/photographRoom'
import { answerOf, leadTo, type Refusal } from '../../refusal'

/** How many photographs were taken before a day, and what they take; nothing is changed. */
export async function lookBefore(
  day: unknown,
): Promise<Refusal & { readonly count?: number; readonly bytes?: number }> {
  const read = parse(v.pick(photographRoomInput, ['before']), { before: day })
  if (!read.ok) return { problems: read.problems }
  const { count, bytes } = await countPhotographs(await database(), read.value.before)
  return { problems: [], count, bytes }
}

/** Throws photographs away that were taken before a day, as they were counted. */
export async function throwAwayBefore(input: unknown): Promise<Refusal> {
  const read = parse(photographRoomInput, input)
  if (!read.ok) return { problems: read.problems }
  const { before, count } = read.value
  const made = await answerOf(async () => makePhotographRoom(await database(), before, count))
  return made.problems.length > 0 ? { problems: made.problems } : leadTo('/settings/backups')
}
