import { printError } from '@/i18n/terminal'
import 'server-only'
import type { Database } from './database'
import { openDatabase } from './openDatabase'
import { openServer } from './server'

/** Next bundles modules more than once; the process must still open the folder once only. */
const shared = globalThis as typeof globalThis & {
  evenSpokeDatabase?: Promise<Database>
  evenSpokeStops?: boolean
}

export function dataFolder(): string {
  const folder = process.env.EVEN_SPOKE_DATA
  if (!folder) throw new Error('EVEN_SPOKE_DATA is not set; start with `npm start` or `npm run demo`.')
  return folder
}

const recoveryOf = (text: string | undefined) => (text === 'lastGood' || text === 'asItIs' ? text : undefined)

/** The one database of this process, opened at first use. */
export function database(): Promise<Database> {
  // No answer is better than an error: the device keeps what it sent and sends it again.
  if (shared.evenSpokeStops) return new Promise(() => undefined)
  const server = process.env.EVEN_SPOKE_DATABASE_URL
  shared.evenSpokeDatabase ??= server
    ? openServer(server)
    : openDatabase(dataFolder(), {
        upkeep: true,
        takeOver: process.env.EVEN_SPOKE_TAKE_OVER === '1',
        recovery: recoveryOf(process.env.EVEN_SPOKE_RECOVERY),
        say: printError,
        onLost: (said) => {
          printError(said)
          process.exit(75)
        },
      })
  return shared.evenSpokeDatabase
}

/** Closes the database for good; the process is about to end. */
export async function closeDatabase(): Promise<void> {
  shared.evenSpokeStops = true
  await (await shared.evenSpokeDatabase)?.close()
}
