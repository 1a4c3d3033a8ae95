import { getRequestConfig } from 'next-intl/server'
import { language, plainLanguage, pseudoLanguage } from './language'
import { english } from './messages'

/** What the library asks for at every request: the language and its messages. */
export default getRequestConfig(async () => {
  const locale = language()
  const spelling = plainLanguage(locale)
  if (spelling !== pseudoLanguage && spelling !== 'en-US') return { locale, messages: english }
  const { readOtherMessages } = await import('./otherMessages')
  return { locale, messages: readOtherMessages(spelling === 'en-US' ? 'american' : 'pseudo') }
})
