import { revalidatePath } from 'next/cache'
import { succeed } from '@/core/result'
import { database } from '@/services/records'
import { restoreBackup } from '@/services/backup'
import { ownersUpload } from '../ownersUpload'

export const dynamic = 'force-dynamic'

/** Replaces everything that is stored by a backup: all of it or nothing. */
export const POST = ownersUpload(async (path) => {
  const restored = await restoreBackup(await database(), path)
  if (!restored.ok) return restored
  revalidatePath('/', 'layout')
  return succeed({ ok: true })
})
