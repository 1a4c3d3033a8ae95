import type { MessageKey } from '@/catalogue/messageKey'
import type { Messages } from '@/catalogue/messages'
import type { Message } from './message'

type Terms = Messages['terms']

/** What something is called: a word of `messages/en/terms.json`, as it stands within a sentence. */
export const term = <Kind extends keyof Terms>(
  kind: Kind,
  id: (keyof Terms[Kind] & string) | number,
): Message => ({ key: `terms.${kind}.${id}` as MessageKey })

/** What several things are called, as a list. */
export const terms = <Kind extends keyof Terms>(
  kind: Kind,
  ids: readonly (keyof Terms[Kind] & string)[],
): Message[] => ids.map((id) => term(kind, id))
