import type { InferInput } from 'valibot'
import type { Position } from '@/core/wheel/position'
import type { wheelSetInput } from '@/contracts/wheelSet'

/** A wheel set as its form holds it, before it is read. */
export type FormValues = InferInput<typeof wheelSetInput>
export type WheelValues = FormValues['wheels'][number]

export const measureFields = [
  { name: 'tyreCode', label: 'Tyre code', hint: 'as on the sidewall, e.g. 255/35 R19', numeric: false },
  { name: 'rimWidthInches', label: 'Rim width, inches', hint: 'the J number, e.g. 8.5', numeric: true },
  { name: 'spokeCount', label: 'Spokes', hint: '0 for a closed disc or cover', numeric: true },
  { name: 'spokeWidthMillimetres', label: 'Spoke width, mm', hint: 'at half its length', numeric: true },
  { name: 'spokeDepthMillimetres', label: 'Spoke depth, mm', hint: 'front to back', numeric: true },
  { name: 'hardwarePieces', label: 'Lugs, bolts, badges', hint: 'pieces to brush around', numeric: true },
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
export const withNumbers = (values: FormValues): FormValues => ({
  ...values,
  wheels: values.wheels.map((wheel) => ({
    ...wheel,
    ...Object.fromEntries(
      measureFields.flatMap(({ name, numeric }) => (numeric && wheel[name] === null ? [[name, NaN]] : [])),
    ),
  })),
})

/** Text of a number field; what cannot be a number stays out of the field until it is retyped. */
export const textOf = (value: unknown): string =>
  typeof value === 'number' && Number.isNaN(value) ? '' : String(value ?? '')
