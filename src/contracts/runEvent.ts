import * as v from 'valibot'
import { runEventKinds } from '@/core/run/runEvent'
import { oneOf, requestId, shortText } from './fields'

/** One tap in the bay. `at` is the person's moment, so that a tap sent late still counts from when it was made. */
export const runEventInput = v.strictObject({
  kind: oneOf(runEventKinds),
  stepId: shortText('step', 120),
  at: v.pipe(v.string(), v.isoTimestamp('Give an instant such as 2026-05-01T08:30:00.000Z.')),
  /** Who tapped; not said where one works alone. */
  person: v.optional(v.picklist([0, 1], 'Give 0 or 1, or leave it out.')),
  requestId,
})

export type RunEventInput = v.InferOutput<typeof runEventInput>
