import spelling from '../../messages/en-US/spelling.json'
import wording from '../../messages/en-US/wording.json'
import { withLiterals } from './literals'

const words: ReadonlyMap<string, string> = new Map(Object.entries(spelling))
const pattern = `\\b(?:${Object.keys(spelling).join('|')})\\b`
const anyWord = new RegExp(pattern, 'i')
const everyWord = new RegExp(pattern, 'gi')

/** The case of one word for another: Tyre and TYRE. */
function inCaseOf(word: string, other: string): string {
  if (word === word.toUpperCase()) return other.toUpperCase()
  const [first = ''] = word
  return first === first.toUpperCase() ? other.charAt(0).toUpperCase() + other.slice(1) : other
}

/** A text in American spelling. */
export const americanText = (text: string): string =>
  text.replace(everyWord, (word) => inCaseOf(word, words.get(word.toLowerCase()) ?? word))

/** Messages whose examples are of another country. */
const otherWords: ReadonlyMap<string, string> = new Map(Object.entries(wording))

/** A message of the catalogue as America says it; names of values and choices stay as they are. */
export function americanMessage(message: string, key: string): string {
  const here = otherWords.get(key) ?? message
  return anyWord.test(here) ? withLiterals(here, americanText) : here
}
