import * as v from 'valibot'
import { oneOf, shortText } from './fields'

/** One tap in the bay. `at` is the person's moment, so that a tap sent late still counts from when it was made. */
export const runEventInput = v.strictObject({
  kind: oneOf(['done', 'skipped', 'undone']),
  stepId: shortText('step', 120),
  at: v.pipe(v.string(), v.isoTimestamp('Give an instant such as 2026-05-01T08:30:00.000Z.')),
  requestId: v.pipe(v.string(), v.uuid('Give a UUID, new for every tap.')),
})

export type RunEventInput = v.InferOutput<typeof runEventInput>
