import { database } from '@/data/connection'
import { lookAtBackup } from '@/services/backup/restoreBackup'
import { withSentBackup } from '../withSentBackup'

export const dynamic = 'force-dynamic'

/** What a backup holds and would replace; nothing is changed. */
export const POST = (request: Request): Promise<Response> =>
  withSentBackup(request, async (path) => lookAtBackup(await database(), path))
