import type { Database } from '../database'
import type { Recording } from './disk'
import { recordDisk } from './recordDisk'
import { prepare, write } from './recordedWork'

export interface RecordedRestore extends Recording {
  /** Taps of the backup, and of everything that was stored when it was put in its place. */
  readonly taps: { readonly ofBackup: readonly string[]; readonly ofAll: readonly string[] }
  /** Event at which the restore was begun, and at which it was acknowledged. */
  readonly begunAt: number
  readonly restoredAt: number
}

/** Every tap that is stored, by its request. */
export async function tapsIn(database: Database): Promise<string[]> {
  const rows = await database.query<{ id: string }>(
    'select request_id::text as id from run_event order by request_id',
  )
  return rows.map(({ id }) => id)
}

/** Records work, a backup in the middle of it, and a restore of that backup over everything. */
export async function recordRestore(folder: string, rounds: number): Promise<RecordedRestore> {
  const recording = recordDisk(folder)
  try {
    const { openDatabase } = await import('../openDatabase')
    const { dump } = await import('../backup/dump')
    const { restore } = await import('../backup/restore')
    const { dumpInMemory, sourceInMemory } = await import('../backup/testDump')
    const { readMigrations } = await import('../migrate')
    const database = await openDatabase(folder)
    await prepare(database)
    const work = async () => {
      for (let round = 1; round <= rounds; round += 1) await write(database, 2, round, recording.mark)
      return tapsIn(database)
    }
    const ofBackup = await work()
    const dumped = await dump(database, dumpInMemory)
    const ofAll = await work()
    const begunAt = recording.events.length
    await restore(database, readMigrations(), sourceInMemory(dumped))
    const restoredAt = recording.events.length
    await database.close()
    return { root: recording.root, events: recording.events, taps: { ofBackup, ofAll }, begunAt, restoredAt }
  } finally {
    recording.stop()
  }
}
