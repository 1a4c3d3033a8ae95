import { getRequestConfig } from 'next-intl/server'
import { cookies, headers } from 'next/headers'
import { guessRegion } from '@/core/units/region'
import {
  deviceLanguageCookie,
  languageAsked,
  languageOf,
  languageOfRegion,
  type Language,
} from '@/i18n/language'
import { messagesOf } from '@/i18n/messagesOf'
import { storedLanguage } from '@/services/settings'

const ownLanguage = async (): Promise<Language | null> =>
  languageOf((await cookies()).get(deviceLanguageCookie)?.value)

/** Whether this device has units and a language of its own. */
export const hasOwnLanguage = async (): Promise<boolean> => (await ownLanguage()) !== null

/**
 * The language and units of a page: what the surroundings of the server ask for, else this device's own, else the shop's; a new shop's
 * are those of the browser.
 */
async function pageLanguage(): Promise<Language> {
  const asked = languageAsked() ?? (await ownLanguage()) ?? (await storedLanguage())
  return asked ?? languageOfRegion(guessRegion((await headers()).get('accept-language')))
}

/** What the library asks for at every request: the language and its messages. */
export default getRequestConfig(async () => {
  const locale = await pageLanguage()
  return { locale, messages: messagesOf(locale) }
})
