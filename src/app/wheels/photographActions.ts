'use server'

import { succeed } from '@/core/result'
import { isUuid } from '@/contracts/fields'
import { database } from '@/data/connection'
import { removePhotograph } from '@/data/queries/photographs'
import { answerOf, leadTo, refuse, type Refusal } from '../refusal'

/** Takes a photograph away for good, and leads back to the others of its set. */
export async function throwPhotographAway(wheelSetId: unknown, id: unknown): Promise<Refusal> {
  if (!isUuid(wheelSetId) || !isUuid(id))
    return refuse('', 'the photograph', 'This photograph does not exist.')
  const answer = await answerOf(async () => succeed(await removePhotograph(await database(), wheelSetId, id)))
  if (answer.problems.length > 0) return answer
  return leadTo(`/wheels/${wheelSetId}/photographs`)
}
