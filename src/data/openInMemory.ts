import { PGlite } from '@electric-sql/pglite'
import { binaryColumns } from './binaryColumns'
import { overEngine, type Database } from './database'
import { migrate, readMigrations, type Migration } from './migrate'
import { openFreshOnServer } from './server'
import { snapshot } from './testSnapshots'

/**
 * A database of its own that nobody keeps, migrated; for tests and measurements. In memory, or on the PostgreSQL server that
 * `EVEN_SPOKE_TEST_POSTGRES` names: what holds on one engine holds on the other.
 */
export async function openInMemory(migrations?: readonly Migration[]): Promise<Database> {
  const server = process.env.EVEN_SPOKE_TEST_POSTGRES
  const wanted = migrations ?? readMigrations()
  if (server) return openFreshOnServer(server, wanted)
  const begin = snapshot(migrations ? 'empty' : 'migrated')
  const database = overEngine(await PGlite.create({ ...binaryColumns, ...begin }), 'memory')
  await migrate(database, wanted)
  return database
}
