import { database } from '@/data/connection'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Whether requests can be served now: the data answers. For whoever decides where to send them. */
export const GET = route('anyone', async () => {
  try {
    await (await database()).query('select 1')
    return Response.json({ ok: true })
  } catch {
    return Response.json(
      { problems: [{ path: '', found: 'the data does not answer', mend: 'Try again in a few seconds.' }] },
      { status: 503, headers: { 'retry-after': '5' } },
    )
  }
})
