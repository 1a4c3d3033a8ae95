import { withLiterals } from './literals'

const accents: Readonly<Record<string, string>> = {
  a: 'á',
  e: 'é',
  i: 'í',
  o: 'ó',
  u: 'ú',
  y: 'ý',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
  c: 'ç',
  n: 'ñ',
}

/** About a third longer: other languages need the room. */
const longer = (text: string): string =>
  text.replace(/[a-zA-Z]+/g, (word) => {
    const marked = [...word].map((letter) => accents[letter] ?? letter).join('')
    return word.length > 2 ? marked + '~'.repeat(Math.ceil(word.length / 3)) : marked
  })

/** A message in the language of the tests: `Save` is `⟦Sávé~~⟧`. */
export const pseudoMessage = (message: string): string => `⟦${withLiterals(message, longer)}⟧`
