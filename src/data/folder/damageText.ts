import { message, type Message, type Said } from '@/core/message/message'
import type { GoodCopy } from './goodCopies'

/** What is in a copy and from when, in a few words. */
export const describeCopy = ({ madeAt, rows }: GoodCopy): Message =>
  message('data.copy', {
    at: new Date(madeAt),
    vehicles: rows.vehicle ?? 0,
    sets: rows.wheel_set ?? 0,
    visits: rows.visit ?? 0,
    products: rows.product ?? 0,
  })

/** More lines than these tell nothing more. */
const maxProblems = 6

/** One under the other. */
export const lines = (first: Said, ...rest: readonly Said[]): Said => {
  const [second, ...others] = rest
  return second === undefined ? first : message('data.lines', { first, rest: lines(second, ...others) })
}

const indented = (said: Said): Message => message('data.damaged.line', { said })

/**
 * What a person reads whose data cannot be opened or is not whole.
 * @param opens whether the engine opens it all the same
 */
export function damageText(
  folder: string,
  problems: readonly Said[],
  copies: readonly GoodCopy[],
  opens: boolean,
): Message {
  const [newest] = copies
  const rest = problems.length - maxProblems
  return message('data.damaged.all', {
    folder,
    more: lines(
      '',
      ...problems.slice(0, maxProblems).map(indented),
      ...(rest > 0 ? [message('data.damaged.more', { count: rest })] : []),
      newest
        ? message('data.damaged.lastGood', { copy: describeCopy(newest) })
        : message('data.damaged.noCopy'),
      ...(opens ? [message('data.damaged.asItIs')] : []),
    ),
  })
}
