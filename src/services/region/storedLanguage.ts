import { database } from '@/data/connection'
import { readSettings } from '@/data/queries/settings'
import { languageOfRegion, type Language } from '@/i18n/language'

/** The language that the shop chose; null: it has chosen none yet, or its data does not answer. */
export async function storedLanguage(): Promise<Language | null> {
  try {
    const { region } = await readSettings(await database())
    return region && languageOfRegion(region)
  } catch {
    // Whoever shows the page says what is wrong; its words need a language all the same.
    return null
  }
}
