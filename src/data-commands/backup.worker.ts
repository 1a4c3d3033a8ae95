import type { Database } from '@/data/database'
import { openServer } from '@/data/server'
import { openSnapshot } from '@/data/openSnapshot'
import { exhaustive } from '@/core/exhaustive'
import { backUpOver } from '@/services/backup/backUp'
import type { BackupSource, BackupTask } from '@/services/backup/backupThread'

function opened(source: BackupSource): Promise<Database> {
  switch (source.kind) {
    case 'snapshot':
      return openSnapshot(source.folder)
    case 'server':
      return openServer(source.url)
    default:
      return exhaustive(source)
  }
}

/** Writes one backup; the thread does nothing else. */
export default async function makeBackup({ source, madeAt, path }: BackupTask): Promise<number> {
  const database = await opened(source)
  try {
    return await backUpOver(database, new Date(madeAt), path)
  } finally {
    await database.close()
  }
}
