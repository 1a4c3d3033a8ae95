import type { QuantityField } from '@/core/units/readQuantity'

type Usual = Required<Pick<QuantityField, 'usual' | 'others'>>

/** Air in which wheels are washed, °C; a bare number beyond is asked about where it is usual in the other unit. */
export const usualAir: Usual = { usual: [-25, 45], others: ['celsius', 'fahrenheit'] }

/** Wheels that stand or were driven, °C. */
export const usualSurface: Usual = { usual: [-25, 80], others: ['celsius', 'fahrenheit'] }

/** Brakes after a drive, °C. */
export const usualBrakes: Usual = { usual: [0, 400], others: ['celsius', 'fahrenheit'] }
