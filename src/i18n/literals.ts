import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import { printAST } from '@formatjs/icu-messageformat-parser/printer.js'

function changedElement(
  element: MessageFormatElement,
  change: (text: string) => string,
): MessageFormatElement {
  switch (element.type) {
    case TYPE.literal:
      return { ...element, value: change(element.value) }
    case TYPE.tag:
      return { ...element, children: element.children.map((child) => changedElement(child, change)) }
    case TYPE.plural:
    case TYPE.select:
      return {
        ...element,
        options: Object.fromEntries(
          Object.entries(element.options).map(([name, option]) => [
            name,
            { ...option, value: option.value.map((inner) => changedElement(inner, change)) },
          ]),
        ),
      }
    default:
      return element
  }
}

/** A message with its words changed; names of values, choices and tags stay. */
export const withLiterals = (message: string, change: (text: string) => string): string =>
  printAST(parse(message).map((element) => changedElement(element, change)))
