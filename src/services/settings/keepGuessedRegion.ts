import type { English, Region } from '@/core/units/region'
import type { Database } from '@/data/database'
import { readStoredSettings, writeSettings } from '@/data/queries/settings'

/** What is paid with where an English is spoken. */
const usualCurrency: Partial<Record<English, string>> = { 'en-GB': 'GBP', 'en-US': 'USD' }

/** Keeps what a new shop's first browser suggests, as long as nobody has chosen anything else. */
export async function keepGuessedRegion(database: Database, region: Region): Promise<void> {
  const { settings, version } = await readStoredSettings(database)
  if (settings.region !== null) return
  // What a shop chose itself is not guessed over.
  const currency = version === 0 ? usualCurrency[region.english] : undefined
  await writeSettings(database, { ...settings, region, ...(currency ? { currency } : {}) }, version)
}
