import { database } from '@/data/connection'
import { lookAtBackup } from '@/services/backup/restoreBackup'
import { readZip } from '../readZip'

export const dynamic = 'force-dynamic'

/** What a backup holds and would replace; nothing is changed. */
export async function POST(request: Request): Promise<Response> {
  const zip = await readZip(request)
  if (!zip.ok) return Response.json({ problems: zip.problems }, { status: 413 })
  const look = await lookAtBackup(await database(), zip.value)
  return look.ok ? Response.json(look.value) : Response.json({ problems: look.problems }, { status: 422 })
}
