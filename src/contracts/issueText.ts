import { isMessage, message, type Message } from '@/core/message/message'
import type { MessageKey } from '@/catalogue/messageKey'
import { readSaid } from './saidText'

/** A message in the form in which Valibot carries it with an issue, which is text. */
export const asIssue = (said: Message): string => JSON.stringify(said)

/** Makes a message in that form; takes what `message` takes. */
export const issueText = <Key extends MessageKey>(...said: Parameters<typeof message<Key>>): string =>
  asIssue(message(...said))

/** The message of an issue; null where the text is Valibot's own. */
export function messageOfIssue(text: string): Message | null {
  const said = readSaid(text)
  return isMessage(said) ? said : null
}
