import type { Said } from '@/core/message/message'
import type { Problem } from '@/core/result'
import { saidProblems } from '@/i18n/saidProblems'
import { shopSay } from '@/i18n/shopSay'

/**
 * What a route answers that refuses something: its problems, in the language of the shop.
 * @param retrySeconds after which it is worth asking again
 */
export const problemAnswer = (
  status: number,
  problems: readonly Problem<Said>[],
  retrySeconds?: number,
): Response =>
  Response.json(
    { problems: saidProblems(problems, shopSay()) },
    { status, ...(retrySeconds === undefined ? {} : { headers: { 'retry-after': String(retrySeconds) } }) },
  )
