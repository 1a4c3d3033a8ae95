/** The languages there are messages for, besides one that only tests use. */
export const languages = ['en'] as const

/** Longer words with marks at both ends, to find words that are missing here and places that are too narrow. */
export const pseudoLanguage = 'en-XA'

export type Language = (typeof languages)[number] | typeof pseudoLanguage

/** The language of this server. Another one starts with its folder beside `messages/en`. */
export const language = (): Language =>
  process.env.EVEN_SPOKE_LANGUAGE === pseudoLanguage ? pseudoLanguage : languages[0]
