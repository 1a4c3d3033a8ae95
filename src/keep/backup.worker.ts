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

/** Reads and packs one backup; the thread does nothing else. */
export default async function makeBackup({ source, madeAt }: BackupTask): Promise<Uint8Array> {
  const database = await opened(source)
  try {
    return await backUpOver(database, new Date(madeAt))
  } finally {
    await database.close()
  }
}
