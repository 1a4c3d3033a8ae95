'use server'

import { currentTime } from '@/clock'
import { revalidatePath } from 'next/cache'
import { bottleInput } from '@/contracts/bottle'
import { isUuid } from '@/contracts/fields'
import { parse } from '@/contracts/problems'
import { database } from '@/data/connection'
import { emptyBottle } from '@/data/queries/bottles'
import { mixBottle } from '@/services/mixBottle'
import { leadTo, refusalOf, type Refusal } from '../refusal'

/** Keeps a mixed bottle, takes its concentrate off the stock and opens its label. */
export async function keepBottle(input: unknown): Promise<Refusal> {
  const read = parse(bottleInput, input)
  if (!read.ok) return { problems: read.problems }
  let id: string
  try {
    const mixed = await mixBottle(await database(), read.value, currentTime())
    if (!mixed.ok) return { problems: mixed.problems }
    id = mixed.value
  } catch (error) {
    return refusalOf(error)
  }
  return leadTo(`/bench/${id}`)
}

export async function markEmpty(id: unknown): Promise<void> {
  if (isUuid(id)) await emptyBottle(await database(), id, currentTime())
  revalidatePath('/bench')
}
