import { englishes, type English, type Region } from '@/core/units/region'
import { regionOfTag, tagOfRegion } from './regionTag'

/** Longer words with marks at both ends, to find words that are missing here and places that are too narrow. */
export const pseudoLanguage = 'en-XA'

/** The language of a page with its units, as one tag: see `tagOfRegion`. */
export type Language = English | `${English}-x-${string}` | typeof pseudoLanguage

const isLanguage = (tag: string): tag is Language =>
  tag === pseudoLanguage || englishes.some((english) => tag === english || tag.startsWith(`${english}-x-`))

/** A tag that came from outside, if it is a language of ours; null: it is not. */
export const languageOf = (tag: string | undefined): Language | null =>
  tag === undefined || !isLanguage(tag)
    ? null
    : tag === pseudoLanguage
      ? tag
      : languageOfRegion(regionOfTag(tag))

export const languageOfRegion = (region: Region): Language => tagOfRegion(region) as Language

/** The language that this machine's surroundings ask for; null: none. */
export const languageAsked = (): Language | null => languageOf(process.env.EVEN_SPOKE_LANGUAGE)

/** What a page tells the browser about its language: no units. */
export const plainLanguage = (tag: string): string =>
  tag === pseudoLanguage ? tag : regionOfTag(tag).english

/** Where a device keeps its own language and units. */
export const deviceLanguageCookie = 'even-spoke-language'
