import type { CustomaryUnit, OunceSystem } from '@/core/quantity/volume'
import { readNumberWords } from './numberWords'

/** What people measure with that is no unit. */
export const containers = ['bottle', 'capful', 'bucket'] as const
export type Container = (typeof containers)[number]

/** A unit of volume as said; `system` is absent where the words leave the country open. */
export type VolumeUnit =
  | { readonly kind: 'metric'; readonly millilitres: number }
  | { readonly kind: 'customary'; readonly unit: CustomaryUnit; readonly system?: OunceSystem }
  /** How much it holds, only the person knows. */
  | { readonly kind: 'container'; readonly of: Container }

/** What a phrase is made of, after spelling and filler words are gone. */
export type Token =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'unit'; readonly unit: VolumeUnit }
  | {
      readonly kind:
        | 'percent' | 'colon' | 'slash' | 'dash' | 'to' | 'in' | 'added' | 'madeUp' | 'toppedWith'
        | 'part' | 'water' | 'product' | 'neat' | 'then' | 'lance'
    } // prettier-ignore

const metric = (millilitres: number): Token => ({ kind: 'unit', unit: { kind: 'metric', millilitres } })
const container = (of: Container): Token => ({ kind: 'unit', unit: { kind: 'container', of } })
const customary = (unit: CustomaryUnit): Token => ({ kind: 'unit', unit: { kind: 'customary', unit } })

/** Phrases of several words come before their parts. */
const vocabulary: readonly (readonly [RegExp, Token | null])[] = [
  [/^(ready[ -]to[ -]use|rtu|neat|undiluted|unthinned|straight)\b/, { kind: 'neat' }],
  [/^((made|topped|filled|fill|top|make)( it)? up to|up to|diluted to|in total of)\b/, { kind: 'madeUp' }],
  [/^((topped|filled)( up)? with|plus|with)\b/, { kind: 'toppedWith' }],
  [/^\+/, { kind: 'toppedWith' }],
  [/^(added to|mixed into|per|for every|for each|into|on)\b/, { kind: 'added' }],
  [/^(foam )?lance bottles?\b/, container('bottle')],
  [/^(cap ?fuls?|caps?)\b/, container('capful')],
  [/^buckets?\b/, container('bucket')],
  [/^(in|through|for|via) (a |the )?(foam )?(lance|cannon)\b/, { kind: 'lance' }],
  [/^(millilit(er|re)s?|mls?|cc)\b/, metric(1)],
  [/^(centilit(er|re)s?|cl)\b/, metric(10)],
  [/^(decilit(er|re)s?|dl)\b/, metric(100)],
  [/^(lit(er|re)s?|l)\b/, metric(1000)],
  [/^(fl(uid)?\.? ?)?(ounces?|ozs?)\b\.?/, customary('ounce')],
  [/^(gallons?|gals?)\b\.?/, customary('gallon')],
  [/^(quarts?|qts?)\b\.?/, customary('quart')],
  [/^(pints?|pts?)\b\.?/, customary('pint')],
  [/^parts?\b/, { kind: 'part' }],
  [/^water\b/, { kind: 'water' }],
  [/^(product|concentrate|chemical|cleaner|soap|shampoo|degreaser|solution of product)\b/, { kind: 'product' }],
  [/^(percent|per cent)\b/, { kind: 'percent' }],
  [/^%/, { kind: 'percent' }],
  [/^[:∶：]/, { kind: 'colon' }],
  [/^[/⁄]/, { kind: 'slash' }],
  [/^[-–—]/, { kind: 'dash' }],
  [/^(and )?then\b/, { kind: 'then' }],
  [/^to\b/, { kind: 'to' }],
  [/^in\b/, { kind: 'in' }],
  [/^(bottles?|sprayers?|tanks?|of|the|an?|about|some|roughly|approx\.?|mix(ed)?|ratio|dilut(ed|ion)|strength|at|clean|solution|and)\b/, null],
  [/^[,.;~]/, null],
] // prettier-ignore

const system = /^(us|u\.s\.|american|imperial|imp\.?|uk|british)\s+/

const glyphs: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
}

/** Splits a phrase; a word that means nothing here comes back as `unknown`. */
export function tokenize(phrase: string): { tokens: Token[] } | { unknown: string } {
  let rest = phrase
    .toLowerCase()
    .replace(/[½¼¾⅓⅔⅛]/g, (glyph) => ` ${glyphs[glyph] ?? ''}`)
    .replace(/\s+/g, ' ')
    .trim()
  const tokens: Token[] = []
  let pendingSystem: OunceSystem | undefined
  while (rest.length > 0) {
    const digits = /^\d+(?:[.,]\d+)?/.exec(rest)
    if (digits) {
      // 1,000 is a thousand to one reader and one to the next.
      if (/^\d+,\d{3}(?!\d)/.test(rest)) return { unknown: digits[0] }
      tokens.push({ kind: 'number', value: Number(digits[0].replace(',', '.')) })
      rest = rest.slice(digits[0].length).trimStart()
      continue
    }
    const country = system.exec(rest)
    if (country) {
      pendingSystem = /^(us|u\.s\.|american)/.test(country[0]) ? 'us' : 'imperial'
      rest = rest.slice(country[0].length)
      continue
    }
    const words = rest.split(/[\s-]+/)
    const spelled = readNumberWords(words)
    if (spelled) {
      tokens.push({ kind: 'number', value: spelled.value })
      rest = rest.replace(new RegExp(`^(?:[^\\s-]+[\\s-]*){${spelled.length}}`), '')
      continue
    }
    const entry = vocabulary.find(([pattern]) => pattern.test(rest))
    if (!entry) return { unknown: words[0] ?? rest }
    const [pattern, token] = entry
    if (/^bucket/.test(rest) && tokens.at(-1)?.kind === 'unit') {
      // "A 20 litre bucket" has said how much it holds.
    } else if (token?.kind === 'unit' && token.unit.kind === 'customary' && pendingSystem) {
      tokens.push({ kind: 'unit', unit: { ...token.unit, system: pendingSystem } })
      pendingSystem = undefined
    } else if (token) {
      tokens.push(token)
    } else if (
      /^an?\b/.test(rest) &&
      /^an? (fl|ounce|oz|lit|gal|quart|pint|part|cap|bucket|(foam )?lance)/.test(rest)
    ) {
      // "a litre" is one litre; "a 20 litre bucket" is not.
      if (tokens.at(-1)?.kind !== 'number') tokens.push({ kind: 'number', value: 1 })
    }
    rest = rest.replace(pattern, '').trimStart()
  }
  return pendingSystem ? { unknown: pendingSystem } : { tokens }
}
