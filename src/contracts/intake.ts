import { issueText } from './issueText'
import * as v from 'valibot'
import { visitResults } from '@/core/run/visitResult'
import { positions } from '@/core/wheel/position'
import { serviceIds } from '@/core/visit-kinds/service'
import {
  list,
  listOf,
  noLongerThan,
  numberFrom,
  oneOf,
  requestId,
  shortText,
  wholeNumberFrom,
} from './fields'
import { conditionsFile } from './conditions'
import { cornerLoads } from './jobFile'
import { stayedEntry } from './runEvent'
import { oncePerPosition, positionsOnce } from './wheel'

/** What a person found at the wheels. Wheels left out are not worked on. */
export const intakeInput = v.strictObject({
  requestId: v.optional(requestId),
  corners: v.pipe(
    listOf(
      v.strictObject({ position: oneOf(positions), loads: cornerLoads }),
      positions.length,
      issueText('fields.oneEntry'),
    ),
    v.minLength(1, issueText('fields.someWheel')),
    v.check((list) => positionsOnce(list), oncePerPosition),
  ),
  service: v.optional(oneOf(serviceIds)),
  conditions: v.optional(conditionsFile, {}),
  /** How many work on it. */
  people: v.optional(wholeNumberFrom(1, 2, 'people'), 1),
  /** Kilometres since the last visit, where somebody read them. */
  kilometres: v.optional(numberFrom(0, 200_000, 'km')),
  /** What the odometer stands at, where somebody read it. */
  odometerKilometres: v.optional(numberFrom(0, 3_000_000, 'km')),
})

/** What a form sends, before the defaults are filled in. */
export type IntakeDraft = v.InferInput<typeof intakeInput>
export type IntakeInput = v.InferOutput<typeof intakeInput>

export const finishInput = v.strictObject({
  result: oneOf(visitResults),
  note: v.optional(v.pipe(v.string(), noLongerThan('note', 2000)), ''),
  /** What stayed, where the person corrected it; absent: as it was seen at the work. */
  leftovers: v.optional(
    list(v.strictObject({ position: oneOf(positions), ...stayedEntry.entries }), 200, 'leftovers'),
  ),
  /** What was used, where it differs from the plan. */
  used: v.optional(
    list(
      v.strictObject({
        productId: shortText('productId', 60),
        concentrateMillilitres: v.optional(numberFrom(0, 100_000, 'ml')),
        /** The open bottle is empty now: the stock is whole packs again. */
        isEmptied: v.optional(v.boolean()),
      }),
      200,
      'products',
    ),
  ),
})

export type FinishInput = v.InferOutput<typeof finishInput>
