import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import { printAST } from '@formatjs/icu-messageformat-parser/printer.js'

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

function pseudoElement(element: MessageFormatElement): MessageFormatElement {
  switch (element.type) {
    case TYPE.literal:
      return { ...element, value: longer(element.value) }
    case TYPE.tag:
      return { ...element, children: element.children.map(pseudoElement) }
    case TYPE.plural:
    case TYPE.select:
      return {
        ...element,
        options: Object.fromEntries(
          Object.entries(element.options).map(([name, option]) => [
            name,
            { ...option, value: option.value.map(pseudoElement) },
          ]),
        ),
      }
    default:
      return element
  }
}

/** A message in the language of the tests: `Save` is `⟦Sávé~~⟧`. */
export const pseudoMessage = (message: string): string => `⟦${printAST(parse(message).map(pseudoElement))}⟧`
