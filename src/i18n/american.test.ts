import { readdirSync, readFileSync } from 'node:fs'
import { createTranslator } from 'use-intl/core'
import { describe, expect, it } from 'vitest'
import { americanMessage, americanText } from './american'
import { withLiterals } from './literals'

/** Spellings that America does not have, also those the list does not know yet. */
const british =
  /\b(\w*tyre\w*|\w*colour\w*|grey|\w*litres?|\w*metres?|aluminium|\w*isation|anodis\w+|kerbs?|centres?|odour|mould|labell\w+|levell\w+|cancell(?:ed|ing)|travell\w+|licences?|favour\w*|neighbour\w*|behaviour|catalogue|programme|cheque|neutralis\w+|recognis\w+|organis\w+|polaris\w+|oxidis\w+|minimis\w+|optimis\w+|crystallis\w+|anticlockwise|towards|afterwards|whilst|learnt|spelt)\b/i

const metric =
  /\b(ml|cl|millilit\w+|lit(?:er|re)s?|(?:kilo|centi|milli)met(?:er|re)s?|metres?|meters|half a meter|km|mm|cm|kPa|l\/min|km\/h|ppm)\b|°C|N·m|\d l\b|\d bar\b/i

interface Messages {
  readonly [name: string]: string | Messages
}
const folder = new URL('../../messages/en/', import.meta.url)
const textsOf = (messages: Messages, path: string): [string, string][] =>
  Object.entries(messages).flatMap(([name, value]) =>
    typeof value === 'string' ? [[`${path}.${name}`, value]] : textsOf(value, `${path}.${name}`),
  )
const all = readdirSync(folder)
  .filter((name) => /^\w+\.json$/.test(name))
  .flatMap((name) =>
    textsOf(JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as Messages, name.replace('.json', '')),
  )

/** What of a message is seen: no names of values, choices or tags. */
const literals = (message: string): string => {
  const found: string[] = []
  americanLiterals(message, found)
  return found.join(' ')
}

describe('American spelling', () => {
  it('leaves no British word in any message', () => {
    const left = all.flatMap(([key, text]) => {
      const word = british.exec(literals(americanMessage(text, key)))?.[0]
      return word ? [`${key}: ${word}`] : []
    })
    expect(left).toEqual([])
  })

  it('names no metric unit but where units are chosen, and symbols that stand behind numbers', () => {
    const left = all.flatMap(([key, text]) => {
      const word = metric.exec(literals(americanMessage(text, key)))?.[0]
      return word && !/^(settings\.region|terms\.unit|bay\.spokenUnits)\./.test(key)
        ? [`${key}: ${word}`]
        : []
    })
    expect(left).toEqual([])
  })

  it('keeps names of values and choices', () => {
    expect(americanMessage('{tyre} and tyre: {kind, select, tyre {the tyre} other {Tyres}}', 'a.key')).toBe(
      '{tyre} and tire: {kind,select,other{Tires} tyre{the tire}}',
    )
  })

  it('is said with the same values', () => {
    const message = '{count, plural, one {# tyre} other {# tyres}} of {colour}, <b>grey</b>'
    const say = createTranslator({ locale: 'en', messages: { it: americanMessage(message, 'a.key') } })
    expect(say.markup('it', { count: 2, colour: 'x', b: (inner) => `*${inner}*` })).toBe(
      '2 tires of x, *gray*',
    )
  })

  it.each([
    ['Tyres and a tyre', 'Tires and a tire'],
    ['GREY', 'GRAY'],
    ['satyre', 'satyre'],
  ])('%s is %s', (text, american) => expect(americanText(text)).toBe(american))
})

function americanLiterals(message: string, found: string[]): void {
  withLiterals(message, (text) => {
    found.push(text)
    return text
  })
}
