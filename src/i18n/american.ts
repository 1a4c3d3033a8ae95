import spelling from '../../messages/en-US/spelling.json'
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

/** A message of the catalogue in American spelling; names of values and choices stay as they are. */
export const americanMessage = (message: string): string =>
  anyWord.test(message) ? withLiterals(message, americanText) : message
