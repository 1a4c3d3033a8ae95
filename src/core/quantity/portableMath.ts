/** Of 53 binary digits 40 are kept, some twelve decimal ones. */
const split = 2 ** 13 + 1

/**
 * Rounds off the last digits. Exponential, logarithm, power, sine and cosine may differ there from one engine to the next; rounded
 * off, the browser and the server come to the same plan.
 */
export function portable(value: number): number {
  const wide = value * split
  return Number.isFinite(wide) ? wide - (wide - value) : value
}

export const exp = (value: number): number => portable(Math.exp(value))
/** Natural logarithm. */
export const log = (value: number): number => portable(Math.log(value))
export const log10 = (value: number): number => portable(Math.log10(value))
export const power = (base: number, exponent: number): number => portable(base ** exponent)
export const sin = (radians: number): number => portable(Math.sin(radians))
export const cos = (radians: number): number => portable(Math.cos(radians))
