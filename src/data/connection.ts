import 'server-only'
import { openDatabase, type Database } from './database'

/** Next bundles modules more than once; the process must still open the folder once only. */
const shared = globalThis as typeof globalThis & { evenSpokeDatabase?: Promise<Database> }

export function dataFolder(): string {
  const folder = process.env.EVEN_SPOKE_DATA
  if (!folder) throw new Error('EVEN_SPOKE_DATA is not set; start with `npm start` or `npm run demo`.')
  return folder
}

/** The one database of this process, opened at first use. */
export function database(): Promise<Database> {
  shared.evenSpokeDatabase ??= openDatabase(dataFolder(), () => {
    process.stderr.write('Another process took over the data folder; stopping so that nothing is lost.\n')
    process.exit(75)
  })
  return shared.evenSpokeDatabase
}

export async function closeDatabase(): Promise<void> {
  const open = shared.evenSpokeDatabase
  shared.evenSpokeDatabase = undefined
  await (await open)?.close()
}
