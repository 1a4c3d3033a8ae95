import { database } from '@/data/connection'
import { readStoredSettings } from '@/data/queries/settings'
import { languageOfRegion, type Language } from '@/i18n/language'

/**
 * The language that the shop chose; null: it is new and has chosen nothing, or its data does not answer. Settings without a region came
 * with a backup of an earlier version, when everything was metric.
 */
export async function storedLanguage(): Promise<Language | null> {
  try {
    const { settings, version } = await readStoredSettings(await database())
    if (settings.region) return languageOfRegion(settings.region)
    return version === 0 ? null : 'en'
  } catch {
    // Whoever shows the page says what is wrong; its words need a language all the same.
    return null
  }
}
