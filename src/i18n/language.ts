import { englishes, type English } from '@/core/units/region'
import { regionOfTag } from './regionTag'

/** Longer words with marks at both ends, to find words that are missing here and places that are too narrow. */
export const pseudoLanguage = 'en-XA'

/** The language of a page with its units, as one tag: see `tagOfRegion`. */
export type Language = English | `${English}-x-${string}` | typeof pseudoLanguage

const isLanguage = (tag: string): tag is Language =>
  tag === pseudoLanguage || englishes.some((english) => tag === english || tag.startsWith(`${english}-x-`))

/** The language of this server. */
export function language(): Language {
  const tag = process.env.EVEN_SPOKE_LANGUAGE ?? ''
  return isLanguage(tag) ? tag : 'en'
}

/** What a page tells the browser about its language: no units. */
export const plainLanguage = (tag: string): string =>
  tag === pseudoLanguage ? tag : regionOfTag(tag).english
