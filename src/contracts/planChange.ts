import * as v from 'valibot'
import { conditionsFile } from './conditions'
import { list, numberFrom, shortText, wholeNumberFrom } from './fields'
import { wishesFile } from './jobFile'

/** What can be changed in a plan that was not begun; what is left out stays. */
export const planChange = v.strictObject({
  wishes: v.optional(wishesFile),
  conditions: v.optional(conditionsFile),
  people: v.optional(wholeNumberFrom(1, 2, 'people')),
  /** An order found by looking longer; it is checked before it is kept. */
  order: v.optional(
    list(
      v.strictObject({
        stepId: shortText('step id', 120),
        person: wholeNumberFrom(0, 1),
        startSeconds: numberFrom(0, 200_000, 'seconds'),
        endSeconds: numberFrom(0, 200_000, 'seconds'),
      }),
      2000,
      'At most 2000 steps.',
    ),
  ),
})

export type PlanChange = v.InferOutput<typeof planChange>
export type PlanChangeInput = v.InferInput<typeof planChange>
