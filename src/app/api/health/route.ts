import { database } from '@/data/connection'

export const dynamic = 'force-dynamic'

/** Says that the application and its data answer. */
export async function GET() {
  await (await database()).query('select 1')
  return Response.json({ ok: true })
}
