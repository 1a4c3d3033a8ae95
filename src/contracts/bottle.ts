import * as v from 'valibot'
import { noLongerThan, numberFrom, requestId, shortText } from './fields'

/** A bottle as it was mixed at the bench. */
export const bottleInput = v.strictObject({
  requestId: v.optional(requestId),
  productId: shortText('product', 60),
  fraction: numberFrom(0.00005, 1),
  totalMillilitres: numberFrom(1, 100_000, 'ml'),
  mixedBy: v.optional(v.pipe(v.string(), v.trim(), noLongerThan('name', 80)), ''),
})

export type BottleInput = v.InferOutput<typeof bottleInput>
