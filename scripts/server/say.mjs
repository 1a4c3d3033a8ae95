// What the server itself says, from the same messages as the program it serves.
import { readFileSync } from 'node:fs'
import { createTranslator } from 'use-intl/core'

const messages = JSON.parse(readFileSync(new URL('../../messages/en/server.json', import.meta.url), 'utf8'))

/** Says a message of `messages/en/server.json` by its key. */
export const say = createTranslator({ locale: 'en', messages })
