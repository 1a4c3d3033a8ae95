import { currentTime } from '@/clock'
import { messagesOf } from './messagesOf'
import { sayerOf, type Say } from './sayer'
import { shopLanguage } from './shopLanguage'

/** Says messages in the language of the shop, outside of pages: for files, the calendar and what is stored. */
export function shopSay(): Say {
  const language = shopLanguage()
  return sayerOf(language, messagesOf(language), currentTime())
}
