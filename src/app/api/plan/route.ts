import { planInOrder } from '@/core/order/orderPlan'
import { longestJobBytes, readJobText } from '@/contracts/jobFile'
import { writePlan } from '@/contracts/planFile'
import { readLimitedText } from '../readLimitedText'

export const dynamic = 'force-dynamic'

/** Job file in, plan file out; the same schema and messages as the command line. */
export async function POST(request: Request) {
  const text = await readLimitedText(request, longestJobBytes)
  if (!text.ok) return Response.json({ problems: text.problems }, { status: 413 })
  const job = readJobText(text.value)
  if (!job.ok) return Response.json({ problems: job.problems }, { status: 422 })
  return Response.json(writePlan(planInOrder(job.value.job)))
}
