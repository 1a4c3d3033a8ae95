import * as v from 'valibot'
import { visitResults } from '@/core/run/visitResult'
import { positions } from '@/core/wheel/position'
import { serviceIds } from '@/core/services/service'
import { numberFrom, oneOf } from './fields'
import { conditionsFile, loadEntry } from './jobFile'
import { oncePerPosition, positionsOnce } from './wheel'

/** What a person found at the wheels. Wheels left out are not worked on. */
export const intakeInput = v.strictObject({
  corners: v.pipe(
    v.array(v.strictObject({ position: oneOf(positions), loads: v.array(loadEntry) })),
    v.minLength(1, 'Choose at least one wheel.'),
    v.check((list) => positionsOnce(list), oncePerPosition),
  ),
  service: v.optional(oneOf(serviceIds)),
  conditions: v.optional(conditionsFile, {}),
  /** Kilometres since the last visit, where somebody read them. */
  kilometres: v.optional(numberFrom(0, 200_000, 'km')),
})

export type IntakeInput = v.InferOutput<typeof intakeInput>

export const finishInput = v.strictObject({
  result: oneOf(visitResults),
  note: v.optional(v.pipe(v.string(), v.maxLength(2000, 'Keep the note to 2000 characters.')), ''),
})

export type FinishInput = v.InferOutput<typeof finishInput>
