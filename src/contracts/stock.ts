import { issueText } from './issueText'
import * as v from 'valibot'
import { enteredMovements } from '@/core/chemistry/stockMovement'
import { noLongerThan, numberFrom, oneOf, requestId } from './fields'

/** A movement of stock that a person enters: what was bought, what is there by counting, or what a record is off by. */
export const stockInput = v.pipe(
  v.strictObject({
    requestId,
    kind: oneOf(enteredMovements),
    /** Bought: how much came. Counted: how much is there. Corrected: how much more, or below zero less. */
    millilitres: numberFrom(-1_000_000, 1_000_000, 'ml'),
    note: v.optional(v.pipe(v.string(), v.trim(), noLongerThan('note', 200)), ''),
  }),
  v.forward(
    v.check(
      ({ kind, millilitres }) => kind === 'corrected' || millilitres >= 0,
      issueText('problems.stock.negative'),
    ),
    ['millilitres'],
  ),
  v.forward(
    v.check(
      ({ kind, millilitres }) => kind === 'counted' || millilitres !== 0,
      issueText('problems.stock.zero'),
    ),
    ['millilitres'],
  ),
)
export type StockInput = v.InferOutput<typeof stockInput>
