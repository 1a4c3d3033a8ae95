import { longestJobBytes } from '@/contracts/jobFile'
import { inPool, PoolFull } from '@/pool/pool'
import { readLimitedText } from '../readLimitedText'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Job file in, plan file out; the same schema and messages as the command line. */
export const POST = route('owner', async (request) => {
  const text = await readLimitedText(request, longestJobBytes)
  if (!text.ok) return Response.json({ problems: text.problems }, { status: 413 })
  try {
    const plan = await inPool('planText', text.value, request.signal)
    return plan.ok ? Response.json(plan.value) : Response.json({ problems: plan.problems }, { status: 422 })
  } catch (error) {
    if (!(error instanceof PoolFull)) throw error
    return Response.json(
      { problems: [{ path: '', found: 'too many plans at once', mend: error.message }] },
      { status: 503, headers: { 'retry-after': String(error.retrySeconds) } },
    )
  }
})
