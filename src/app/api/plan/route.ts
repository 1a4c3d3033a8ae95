import { message } from '@/core/message/message'
import { problemAnswer } from '@/app/problemAnswer'
import { longestJobBytes } from '@/contracts/jobFile'
import { inPool, PoolFull } from '@/pool/pool'
import { readLimitedText } from '../readLimitedText'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Job file in, plan file out; the same schema and messages as the command line. */
export const POST = route('owner', async (request) => {
  const text = await readLimitedText(request, longestJobBytes)
  if (!text.ok) return problemAnswer(413, text.problems)
  try {
    const plan = await inPool('planText', text.value, request.signal)
    return plan.ok ? Response.json(plan.value) : problemAnswer(422, plan.problems)
  } catch (error) {
    if (!(error instanceof PoolFull)) throw error
    return problemAnswer(
      503,
      [{ path: '', found: message('problems.busy.found'), fix: error.fix }],
      error.retrySeconds,
    )
  }
})
