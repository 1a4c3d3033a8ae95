import { database } from '@/services/records'
import { lookAtBackup } from '@/services/backup'
import { ownersUpload } from '../ownersUpload'

export const dynamic = 'force-dynamic'

/** What a backup holds and would replace; nothing is changed. */
export const POST = ownersUpload(async (path) => lookAtBackup(await database(), path))
