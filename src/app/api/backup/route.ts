import { currentTime } from '@/clock'
import { database } from '@/data/connection'
import { backUp, backupName } from '@/services/backup/backUp'

export const dynamic = 'force-dynamic'

/** Everything that is stored, as one zip. */
export async function GET(): Promise<Response> {
  const now = currentTime()
  return new Response(Buffer.from(await backUp(await database(), now)), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${backupName(now)}"`,
    },
  })
}
