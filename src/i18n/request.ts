import { getRequestConfig } from 'next-intl/server'
import { language, pseudoLanguage } from './language'
import { english } from './messages'

/** What the library asks for at every request: the language and its messages. */
export default getRequestConfig(async () => {
  const locale = language()
  if (locale !== pseudoLanguage) return { locale, messages: english }
  const { readPseudoMessages } = await import('./pseudoMessages')
  return { locale, messages: readPseudoMessages() }
})
