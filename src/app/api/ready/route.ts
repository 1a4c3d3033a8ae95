import { problemAnswer } from '@/app/problemAnswer'
import { message } from '@/core/message/message'
import { database } from '@/services/records'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** When the data may answer again, s. */
const retrySeconds = 5

/** Whether requests can be served now: the data answers. For whoever decides where to send them. */
export const GET = route('anyone', async () => {
  try {
    await (await database()).query('select 1')
    return Response.json({ ok: true })
  } catch {
    return problemAnswer(
      503,
      [{ path: '', found: message('problems.data.silent'), fix: message('problems.data.tryAgain') }],
      retrySeconds,
    )
  }
})
