/** Rounds to a multiple of `step` (> 0), halves away from zero. */
export const roundToStep = (value: number, step: number): number => {
  const rounded = Math.round(value / step) * step
  // Drops the binary tail of e.g. 0.1 * 3 without moving the value.
  return Number(rounded.toFixed(9))
}

/** Writes a number with at most `digits` significant digits and no exponent. */
export function writeSignificant(value: number, digits = 4): string {
  if (value === 0) return '0'
  const decimals = Math.max(0, digits - 1 - Math.floor(Math.log10(Math.abs(value))))
  const text = value.toFixed(Math.min(decimals, 12))
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}

/**
 * Shares a whole number of units over parts so that the shares add up to the total exactly
 * (largest remainder; ties go to the earlier part).
 */
export function shareOut(totalUnits: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((all, weight) => all + weight, 0)
  if (sum <= 0) return weights.map(() => 0)
  const exact = weights.map((weight) => (totalUnits * weight) / sum)
  const shares = exact.map(Math.floor)
  const left = totalUnits - shares.reduce((all, share) => all + share, 0)
  exact
    .map((value, index) => ({ index, remainder: value - Math.floor(value) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index)
    .slice(0, left)
    .forEach(({ index }) => (shares[index] = (shares[index] ?? 0) + 1))
  return shares
}
