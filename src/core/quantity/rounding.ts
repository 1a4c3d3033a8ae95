import { log10 } from './portableMath'

/** Rounds to a multiple of `step` (> 0), halves away from zero. */
export const roundToStep = (value: number, step: number): number => {
  const rounded = Math.round(value / step) * step
  // Drops the binary tail of e.g. 0.1 * 3 without moving the value.
  return Number(rounded.toFixed(9))
}

/** Writes a number with at most `digits` significant digits and no exponent. */
export function writeSignificant(value: number, digits = 4): string {
  if (value === 0) return '0'
  const decimals = Math.max(0, digits - 1 - Math.floor(log10(Math.abs(value))))
  const text = value.toFixed(Math.min(decimals, 12))
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}
