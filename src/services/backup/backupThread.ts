import { Piscina } from 'piscina'

/** What a backup is read from. */
export type BackupSource =
  { readonly kind: 'snapshot'; readonly folder: string } | { readonly kind: 'server'; readonly url: string }

export interface BackupTask {
  readonly source: BackupSource
  readonly madeAt: string
  /** File to write. */
  readonly path: string
}

/** The file of the thread; null where none was built: in tests and commands. */
export const backupThread = (): string | null => process.env.EVEN_SPOKE_BACKUP_THREAD || null

/** Larger shops than any take less, ms. */
const longestMilliseconds = 30 * 60_000

/** Writes a backup on a thread that ends with it; gives its size, bytes. */
export async function onBackupThread(source: BackupSource, now: Date, path: string): Promise<number> {
  const thread = new Piscina({ filename: backupThread() ?? '', minThreads: 0, maxThreads: 1 })
  try {
    const task: BackupTask = { source, madeAt: now.toISOString(), path }
    return (await thread.run(task, { signal: AbortSignal.timeout(longestMilliseconds) })) as number
  } finally {
    await thread.destroy()
  }
}
