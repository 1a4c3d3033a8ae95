import { languageAsked, type Language } from './language'

/** Every bundle of the server has its own modules; the language is the process's. */
const shared = globalThis as { evenSpokeShopLanguage?: Language }

/** The language of the shop as its settings were last read; before that the one that the surroundings ask for. */
export const shopLanguage = (): Language => languageAsked() ?? shared.evenSpokeShopLanguage ?? 'en'

/** Whoever reads the settings tells what language they say. */
export function rememberShopLanguage(language: Language | null): void {
  if (language) shared.evenSpokeShopLanguage = language
  else delete shared.evenSpokeShopLanguage
}
