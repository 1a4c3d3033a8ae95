import { PGlite } from '@electric-sql/pglite'
import { binaryColumns } from './binaryColumns'
import { overEngine, type Database } from './database'

/** Opens a snapshot's folder to read it; what the log brought along is put right first. */
export async function openSnapshot(folder: string): Promise<Database> {
  const database = overEngine(await PGlite.create(folder, binaryColumns), folder)
  await database.query("set time zone 'UTC'")
  return database
}
