import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import compile from 'icu-minify/compile'
import type { AbstractIntlMessages } from 'next-intl'
import { americanMessage } from './american'
import { plainLanguage, pseudoLanguage, type Language } from './language'
import { english, type Messages } from '@/catalogue/messages'
import { pseudoMessage } from './pseudo'

/** What the build makes of a message. */
type Compiled = AbstractIntlMessages[string]

/** Languages that are made from the English catalogue, message by message. */
const changes = { american: americanMessage, pseudo: pseudoMessage } as const
type OtherMessages = keyof typeof changes

/** The build compiles messages for its pages; commands and threads read them as they are written. */
const isCompiled = typeof english.common.quantity.reads !== 'string'
const made = (message: string): Compiled => (isCompiled ? (compile(message) as unknown as Compiled) : message)

/** A message of the catalogue in another language. */
type Change = (message: string, key: string) => string

const changed = (messages: AbstractIntlMessages, change: Change, above = ''): AbstractIntlMessages =>
  Object.fromEntries(
    Object.entries(messages).map(([name, value]) => {
      const key = `${above}${name}`
      return [name, typeof value === 'string' ? made(change(value, key)) : changed(value, change, `${key}.`)]
    }),
  )

const known = new Map<OtherMessages, AbstractIntlMessages>()

/** All messages of a language. */
export function messagesOf(language: Language): Messages {
  const spelling = plainLanguage(language)
  if (spelling === pseudoLanguage) return readOtherMessages('pseudo') as unknown as Messages
  return spelling === 'en-US' ? (readOtherMessages('american') as unknown as Messages) : english
}

/** Reads the catalogue of the working folder once. */
function readOtherMessages(which: OtherMessages): AbstractIntlMessages {
  const messages = known.get(which) ?? readAll(changes[which])
  known.set(which, messages)
  return messages
}

function readAll(change: Change): AbstractIntlMessages {
  const folder = join(process.cwd(), 'messages', 'en')
  const places = readdirSync(folder).filter((name) => /^\w+\.json$/.test(name))
  const messages = Object.fromEntries(
    places.map((file) => {
      const place = file.replace('.json', '')
      return [
        place,
        changed(
          JSON.parse(readFileSync(join(folder, file), 'utf8')) as AbstractIntlMessages,
          change,
          `${place}.`,
        ),
      ]
    }),
  )
  // As the build writes them: plain values that cross to the browser.
  return JSON.parse(JSON.stringify(messages)) as AbstractIntlMessages
}
