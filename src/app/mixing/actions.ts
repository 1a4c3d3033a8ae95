'use server'

import { message } from '@/core/message/message'
import { revalidatePath } from 'next/cache'
import { currentTime } from '@/clock'
import { bottleInput } from '@/contracts/bottle'
import { uuidOf } from '@/contracts/fields'
import { succeed } from '@/core/result'
import { database } from '@/services/records'
import { emptyBottle, mixBottle } from '@/services/cabinet'
import { action } from '../access'
import { answerOf, leadTo, type Refusal } from '../refusal'

/** Saves a mixed bottle, takes its concentrate off the stock and opens its label. */
export const keepBottle = action('owner', [bottleInput], async (input): Promise<Refusal> => {
  const mixed = await answerOf(async () => mixBottle(await database(), input, currentTime()))
  return mixed.value === undefined ? { problems: mixed.problems } : leadTo(`/mixing/${mixed.value}`)
})

/** Marks a bottle as empty. */
export const markEmpty = action(
  'owner',
  [uuidOf(message('problems.notThere.bottle'))],
  async (id): Promise<Refusal> => {
    const { problems } = await answerOf(async () =>
      succeed(await emptyBottle(await database(), id, currentTime())),
    )
    revalidatePath('/mixing')
    return { problems }
  },
)
