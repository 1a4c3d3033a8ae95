import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import compile from 'icu-minify/compile'
import type { AbstractIntlMessages } from 'next-intl'
import { americanMessage } from './american'
import { plainLanguage, pseudoLanguage, type Language } from './language'
import { english, type Messages } from './messages'
import { pseudoMessage } from './pseudo'

/** What the build makes of a message. */
type Compiled = AbstractIntlMessages[string]

/** Languages that are made from the English catalogue, message by message. */
const changes = { american: americanMessage, pseudo: pseudoMessage } as const
type OtherMessages = keyof typeof changes

/** The build compiles messages for its pages; commands and threads read them as they are written. */
const isCompiled = typeof english.common.quantity.reads !== 'string'
const made = (message: string): Compiled => (isCompiled ? (compile(message) as unknown as Compiled) : message)

const changed = (messages: AbstractIntlMessages, change: (message: string) => string): AbstractIntlMessages =>
  Object.fromEntries(
    Object.entries(messages).map(([key, value]) => [
      key,
      typeof value === 'string' ? made(change(value)) : changed(value, change),
    ]),
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

function readAll(change: (message: string) => string): AbstractIntlMessages {
  const folder = join(process.cwd(), 'messages', 'en')
  const places = readdirSync(folder).filter((name) => /^\w+\.json$/.test(name))
  const messages = Object.fromEntries(
    places.map((name) => [
      name.replace('.json', ''),
      changed(JSON.parse(readFileSync(join(folder, name), 'utf8')) as AbstractIntlMessages, change),
    ]),
  )
  // As the build writes them: plain values that cross to the browser.
  return JSON.parse(JSON.stringify(messages)) as AbstractIntlMessages
}
