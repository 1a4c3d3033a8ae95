import type { Messages } from '@/catalogue/messages'

/** What a bare number is counted in; its name or symbol is a word of `messages/en/terms.json`. */
export type Unit = keyof Messages['terms']['unit'] & string
