'use server'

import { message } from '@/core/message/message'
import { uuidOf } from '@/contracts/fields'
import { succeed } from '@/core/result'
import { database } from '@/services/records'
import { removePhotograph } from '@/services/photographs'
import { action } from '../access'
import { answerOf, leadTo, type Refusal } from '../refusal'

/** Deletes a photo for good, and leads back to the others of its set. */
export const throwPhotographAway = action(
  'owner',
  [uuidOf(message('problems.notThere.wheelSet')), uuidOf(message('problems.notThere.photo'))],
  async (wheelSetId, id): Promise<Refusal> => {
    const { problems } = await answerOf(async () =>
      succeed(await removePhotograph(await database(), wheelSetId, id)),
    )
    return problems.length > 0 ? { problems } : leadTo(`/wheels/${wheelSetId}/photographs`)
  },
)
