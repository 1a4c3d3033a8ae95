import * as v from 'valibot'
import type { Message, Said } from '@/core/message/message'
import type { Problem } from '@/core/result'
import { conditionsFile } from './conditions'
import { list, numberFrom, shortText, wholeNumberFrom } from './fields'
import { wishesFile, type JobFile } from './jobFile'
import type { PlanFile } from './planFile'

/** What can be changed in a plan that was not begun; what is left out stays. */
export const planChange = v.strictObject({
  wishes: v.optional(wishesFile),
  /** The wishes that the window began with: what another window has changed since is kept beside. */
  knownWishes: v.optional(wishesFile),
  conditions: v.optional(conditionsFile),
  people: v.optional(wholeNumberFrom(1, 2, 'people')),
  /** An order found by looking longer; it is checked before it is kept. */
  order: v.optional(
    list(
      v.strictObject({
        stepId: shortText('stepId', 120),
        person: wholeNumberFrom(0, 1),
        startSeconds: numberFrom(0, 200_000, 'seconds'),
        endSeconds: numberFrom(0, 200_000, 'seconds'),
      }),
      2000,
      'steps',
    ),
  ),
})

export type PlanChange = v.InferOutput<typeof planChange>
export type PlanChangeInput = v.InferInput<typeof planChange>

/** What became of a change. */
export interface KeptChange<Words extends Said = Message> {
  readonly problems: readonly Problem<Words>[]
  /** What is stored now, where another window had changed wishes too. */
  readonly merged?: { readonly wishes: JobFile['wishes']; readonly plan: PlanFile }
}
