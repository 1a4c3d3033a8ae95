import type { Region } from '@/core/units/region'
import type { Database } from '@/data/database'
import { readStoredSettings, writeSettings } from '@/data/queries/settings'

/** Keeps what a new shop's first browser suggests, as long as nobody has chosen anything else. */
export async function keepGuessedRegion(database: Database, region: Region): Promise<void> {
  const { settings, version } = await readStoredSettings(database)
  if (settings.region === null) await writeSettings(database, { ...settings, region }, version)
}
