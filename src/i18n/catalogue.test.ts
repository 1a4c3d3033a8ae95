import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { parse } from '@formatjs/icu-messageformat-parser'
import { describe, expect, it } from 'vitest'
import { createTranslator } from 'use-intl/core'
import { message } from '@/core/message/message'
import { english } from '@/catalogue/messages'
import type { Translator } from './translator'

const source = join(import.meta.dirname, '..')

const filesBelow = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return filesBelow(path)
    return /\.(tsx?|mjs)$/.test(entry.name) && !/\.test\.ts$/.test(entry.name) ? [path] : []
  })

const textOf = new Map(filesBelow(source).map((path) => [path, readFileSync(path, 'utf8')]))

/** What the server itself says, by the name of its file of messages. */
const saidByServer = new Set(
  filesBelow(join(source, '..', 'scripts', 'server')).flatMap((path) =>
    [...readFileSync(path, 'utf8').matchAll(/(?:say|words)\('([\w.]+)'/g)].flatMap(([call, key = '']) =>
      call.startsWith('words') ? [`server.trust.${key}`] : [`server.${key}`],
    ),
  ),
)

const entriesOf = (part: object, above = ''): [key: string, text: string][] =>
  Object.entries(part).flatMap(([name, value]: [string, unknown]) =>
    typeof value === 'string'
      ? [[`${above}${name}`, value] satisfies [string, string]]
      : entriesOf(value as object, `${above}${name}.`),
  )
const messages = entriesOf(english)

describe('the catalogue', () => {
  it('has messages that can all be read', () => {
    for (const [key, text] of messages) expect(() => parse(text), key).not.toThrow()
  })

  it('has no message that nobody says', () => {
    const code = [...textOf.values()].join('\n')
    const said = new Set([...saidByServer, ...(code.match(/(?<=['`])[a-z]\w*(?:\.\w+)+(?=['`])/gi) ?? [])])
    // Keys that are put together: `terms.place.${place}`.
    const patterns = [...code.matchAll(/`([a-z]\w*(?:\.(?:\w+|\$\{[^`}]*\}))+)`/gi)]
      .flatMap(([, key]) => (key?.includes('${') ? [key] : []))
      .map((key) => new RegExp(`^${key.replace(/\$\{[^}]*\}/g, '[^.]+')}$`))
    const unused = messages
      .map(([key]) => key)
      .filter((key) => !said.has(key) && !patterns.some((pattern) => pattern.test(key)))
    expect(unused).toEqual([])
  })
})

it('is known to the compiler: a key or a value that no message has does not compile', () => {
  const t = createTranslator({ locale: 'en', messages: english }) as Translator
  const wrong = [
    // @ts-expect-error There is no such message.
    () => t('outbox.nothing'),
    // @ts-expect-error The message has another value.
    () => t('outbox.saved', { nothing: 'a' }),
    // @ts-expect-error The message has values.
    () => message('fields.enter'),
  ]
  expect(wrong).toHaveLength(3)
})

/** What a file imports of our own source. */
function importsOf(path: string): string[] {
  const text = textOf.get(path) ?? ''
  return [...text.matchAll(/^(?:import|export)(?! type)[^'"]*from '([^']+)'/gm)].flatMap(([, from = '']) => {
    const base = from.startsWith('@/')
      ? join(source, from.slice(2))
      : from.startsWith('.')
        ? join(path, '..', from)
        : null
    const found = base && [`${base}.ts`, `${base}.tsx`, join(base, 'index.ts')].find((one) => textOf.has(one))
    return found ? [found] : []
  })
}

/** The places whose messages are read by components that run in the browser. */
function placesReadBelow(entry: string): Set<string> {
  const places = new Set<string>()
  const seen = new Set<string>()
  const follow = (path: string, runsInBrowser: boolean): void => {
    const mark = `${path} ${runsInBrowser}`
    if (seen.has(mark)) return
    seen.add(mark)
    const text = textOf.get(path) ?? ''
    if (/^'use server'/.test(text)) return
    const inBrowser = runsInBrowser || /^'use client'/.test(text)
    if (inBrowser) {
      for (const [, place] of text.matchAll(/\bt(?:\.rich)?\(\s*['`]([a-zA-Z]+)\./g))
        if (place) places.add(place)
      // What was entered is checked here, before it is sent.
      if (text.includes('saidProblems(')) places.add('fields')
    }
    for (const next of importsOf(path)) follow(next, inBrowser)
  }
  follow(entry, false)
  return places
}

const givenIn = (path: string): string[] =>
  [...(textOf.get(path) ?? '').matchAll(/<Words\s+of=\{\[([^\]]*)\]\}/g)].flatMap(([, names = '']) =>
    [...names.matchAll(/'(\w+)'/g)].flatMap(([, name]) => name ?? []),
  )

describe('a page', () => {
  const everywhere = [
    ...(textOf.get(join(source, 'i18n', 'Words.tsx')) ?? '').matchAll(/^ {2}'(\w+)',$/gm),
  ].map(([, name]) => name)
  const pages = [...textOf.keys()].filter(
    (path) => path.startsWith(join(source, 'app')) && path.endsWith('page.tsx'),
  )

  it.each(pages.map((path) => [relative(source, path), path]))(
    '%s gives its components the messages they read',
    (_, path) => {
      const above: string[] = []
      for (let folder = join(path, '..'); folder !== source; folder = join(folder, '..'))
        above.push(join(folder, 'layout.tsx'))
      // The innermost takes the place of those above it.
      const nearest = above.find((layout) => givenIn(layout).length > 0)
      const given = [...everywhere, ...givenIn(path), ...(nearest ? givenIn(nearest) : [])]
      expect([...placesReadBelow(path)].filter((place) => !given.includes(place))).toEqual([])
    },
  )
})
