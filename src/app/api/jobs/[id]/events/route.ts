import { message, type Message } from '@/core/message/message'
import { problemAnswer } from '@/app/problemAnswer'
import { currentTime } from '@/clock'
import { readJsonText } from '@/contracts/jsonText'
import { parse } from '@/contracts/problems'
import { runEventInput } from '@/contracts/runEvent'
import { isUuid } from '@/contracts/fields'
import { database, isDataFailure } from '@/services/records'
import { jobEnded, jobExists, listRunEvents, recordRunEvent } from '@/services/jobs'
import { readLimitedText } from '../../../readLimitedText'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

const refuse = (status: number, path: string, found: string, fix: Message) =>
  problemAnswer(status, [{ path, found, fix }])

/** What was tapped so far, in order, for a second device in the same bay. */
export const GET = route<{ params: Promise<{ id: string }> }>('bay', async (_request, { params }) => {
  const { id } = await params
  const pool = await database()
  if (!isUuid(id) || !(await jobExists(pool, id)))
    return refuse(404, 'id', JSON.stringify(id.slice(0, 40)), message('problems.notThere.job'))
  return Response.json({ events: await listRunEvents(pool, id) })
})

/** Stores one tap of the bay. The answer comes only after it is safely written. */
export const POST = route<{ params: Promise<{ id: string }> }>('bay', async (request, { params }) => {
  const { id } = await params
  const named = JSON.stringify(id.slice(0, 40))
  if (!isUuid(id)) return refuse(404, 'id', named, message('problems.notThere.job'))
  const text = await readLimitedText(request, 10_000)
  if (!text.ok) return problemAnswer(413, text.problems)
  const body = readJsonText(text.value)
  if (!body.ok) return problemAnswer(400, body.problems)
  const input = parse(runEventInput, body.value)
  if (!input.ok) return problemAnswer(422, input.problems)
  try {
    const outcome = await recordRunEvent(await database(), id, input.value, currentTime())
    if (!outcome.ok) {
      const isEnded = outcome.problems.some(({ path }) => path === jobEnded)
      return problemAnswer(isEnded ? 410 : 409, outcome.problems)
    }
    return Response.json({ ok: true })
  } catch (error) {
    // The device keeps the tap and sends it again once there is room.
    if (isDataFailure(error)) return refuse(503, '', error.reason, error.said)
    throw error
  }
})
