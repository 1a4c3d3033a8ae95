import { database } from '@/services/records'
import { route } from '@/app/access'

export const dynamic = 'force-dynamic'

/** Says that the application and its data answer. */
export const GET = route('anyone', async () => {
  await (await database()).query('select 1')
  return Response.json({ ok: true })
})
