import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import compile from 'icu-minify/compile'
import type { AbstractIntlMessages } from 'next-intl'
import { pseudoMessage } from './pseudo'

/** What the build makes of a message. */
type Compiled = AbstractIntlMessages[string]

const inPseudo = (messages: AbstractIntlMessages): AbstractIntlMessages =>
  Object.fromEntries(
    Object.entries(messages).map(([key, value]) => [
      key,
      typeof value === 'string' ? (compile(pseudoMessage(value)) as unknown as Compiled) : inPseudo(value),
    ]),
  )

let known: AbstractIntlMessages | null = null

/** All messages in the language of the tests, compiled as the build compiles those of a page. Reads the catalogue of the working folder once. */
export const readPseudoMessages = (): AbstractIntlMessages => (known ??= readAll())

function readAll(): AbstractIntlMessages {
  const folder = join(process.cwd(), 'messages', 'en')
  const places = readdirSync(folder).filter((name) => /^\w+\.json$/.test(name))
  const messages = Object.fromEntries(
    places.map((name) => [
      name.replace('.json', ''),
      inPseudo(JSON.parse(readFileSync(join(folder, name), 'utf8')) as AbstractIntlMessages),
    ]),
  )
  // As the build writes them: plain values that cross to the browser.
  return JSON.parse(JSON.stringify(messages)) as AbstractIntlMessages
}
