import type { InferInput } from 'valibot'
import type { Position } from '@/core/wheel/position'
import type { NewSetOwner, wheelSetInput } from '@/contracts/wheelSet'

/** A wheel set as its form holds it, before it is read. */
export type FormValues = InferInput<typeof wheelSetInput>
/** With the vehicle it was chosen to be of, where the name is known. */
export type SetValues = FormValues & { readonly owner: NewSetOwner }
export type WheelValues = FormValues['wheels'][number]

/** Named and explained by `wheelSet.measures`. */
export const measureFields = [
  { name: 'tyreCode', numeric: false, quantity: null },
  { name: 'rimWidthInches', numeric: true, quantity: null },
  { name: 'spokeCount', numeric: true, quantity: null },
  { name: 'spokeWidthMillimetres', numeric: true, quantity: 'length' },
  { name: 'spokeDepthMillimetres', numeric: true, quantity: 'length' },
  { name: 'hardwarePieces', numeric: true, quantity: null },
] as const
export type MeasureField = (typeof measureFields)[number]['name']

export const freshWheel = (position: Position): WheelValues => ({
  position,
  tyreCode: '',
  rimWidthInches: NaN,
  spokeCount: NaN,
  spokeWidthMillimetres: 30,
  spokeDepthMillimetres: 45,
  hardwarePieces: 5,
  finishes: [],
})

/** A draft is kept as JSON, which knows no NaN. */
export const withNumbers = (values: SetValues): SetValues => ({
  ...values,
  wheels: values.wheels.map((wheel) => ({
    ...wheel,
    ...Object.fromEntries(
      measureFields.flatMap(({ name, numeric }) => (numeric && wheel[name] === null ? [[name, NaN]] : [])),
    ),
  })),
})

/** Earlier versions of the form kept a draft's set and owner one beside the other. */
export function setValuesOf(kept: unknown): unknown {
  if (typeof kept !== 'object' || kept === null || !('values' in kept)) return kept
  const { values, owner } = kept as { values: object; owner?: unknown }
  return { ...values, owner }
}

/** Text of a number field; what cannot be a number stays out of the field until it is retyped. */
export const textOf = (value: unknown): string =>
  typeof value === 'number' && Number.isNaN(value) ? '' : String(value ?? '')
