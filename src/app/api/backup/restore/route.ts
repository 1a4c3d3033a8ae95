import { revalidatePath } from 'next/cache'
import { database } from '@/data/connection'
import { restoreBackup } from '@/services/backup/restoreBackup'
import { readZip } from '../readZip'

export const dynamic = 'force-dynamic'

/** Puts a backup in the place of everything that is stored: all of it or nothing. */
export async function POST(request: Request): Promise<Response> {
  const zip = await readZip(request)
  if (!zip.ok) return Response.json({ problems: zip.problems }, { status: 413 })
  const restored = await restoreBackup(await database(), zip.value)
  if (!restored.ok) return Response.json({ problems: restored.problems }, { status: 422 })
  revalidatePath('/', 'layout')
  return Response.json({ ok: true })
}
