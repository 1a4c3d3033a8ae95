import { message } from '@/core/message/message'
import { problemAnswer } from '@/app/problemAnswer'
import { route } from '@/app/access'
import { readJson } from '@/app/readJson'
import { isUuid } from '@/contracts/fields'
import { visitCorrection } from '@/contracts/runEvent'
import { database } from '@/services/records'
import { correctVisit } from '@/services/jobs'

export const dynamic = 'force-dynamic'

/** Adds taps that came after the end of a job to its visit. */
export const POST = route<{ params: Promise<{ id: string }> }>('bay', async (request, { params }) => {
  const { id } = await params
  const gone = { path: 'id', found: JSON.stringify(id.slice(0, 40)), fix: message('problems.notThere.job') }
  if (!isUuid(id)) return problemAnswer(404, [gone])
  const read = await readJson(request, visitCorrection, 50_000)
  if (!read.ok) return problemAnswer(422, read.problems)
  const corrected = await correctVisit(await database(), id, read.value)
  return corrected.ok ? Response.json({ ok: true }) : problemAnswer(409, corrected.problems)
})
