import type { FoundOrder } from '@/core/sequence/problem/foundOrder'
import type { Span } from '@/core/sequence/problem/spans'

export interface PassResult {
  readonly best: FoundOrder | null
  /** No order can be shorter than this; infinite where the pass shows that there is none below the limit. */
  readonly lowerBoundSeconds: number
  /** One person: the best order for each tool that is in the hand at its end. */
  readonly bestByTool: readonly { readonly lastTool: number; readonly found: FoundOrder }[]
}

export interface PassOptions {
  /** States kept per layer. */
  readonly width: number
  /** Only orders that end before this are of interest. */
  readonly below: number
  /** One person who stands at a place with a tool, whatever the problem says. */
  readonly standing?: { readonly place: number; readonly tool: number }
  /** Only these places are worked at; the others count as done. */
  readonly onlyPlaces?: readonly number[]
  /** At most this share of the kept states has the same number of wet places. */
  readonly share?: number
  /** Who works at a place, by place; −1 or absent: anybody. */
  readonly assigned?: readonly number[]
  /** When somebody else has a tool, by tool: spans in order of time. One person only. */
  readonly taken?: ReadonlyMap<number, readonly Span[]>
  /** Two people: append in any order, not only by time; needed to be exact, too wide to be useful on more. */
  readonly anyOrder?: boolean
  /** Share of the waste to come by which it is taken to be more than is sure. */
  readonly doubt?: number
  /** No more places than this wet with something that may dry. */
  readonly maxWet?: number
  /** An order to keep, for each person, but for some operations; those are put in between anew. */
  readonly keeping?: { readonly order: FoundOrder; readonly isFree: (operation: number) => boolean }
}
