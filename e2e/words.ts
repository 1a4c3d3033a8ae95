import { parse, TYPE } from '@formatjs/icu-messageformat-parser'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { createTranslator } from 'use-intl/core'
import type { Messages } from '../src/catalogue/messages'

const folder = join(import.meta.dirname, '..', 'messages', 'en')

const messages = Object.fromEntries(
  readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .map((file) => [file.slice(0, -'.json'.length), JSON.parse(readFileSync(join(folder, file), 'utf8'))]),
) as Messages

/** What the interface says by a key of the messages, so that a test does not hang on how it is said. */
export const say = createTranslator({ locale: 'en', messages })

/** How a message begins, whatever its values are. */
export function like(key: Parameters<typeof say.has>[0]): RegExp {
  const parts = parse(String(say.raw(key))).map((element) =>
    element.type === TYPE.literal ? element.value.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : '.*',
  )
  return new RegExp(`^${parts.join('')}`)
}
