/**
 * Cost of a volume of concentrate.
 * @param concentrateMillilitres used, ≥ 0
 * @param packMillilitres content of the pack, > 0
 * @param packPriceMinor price of the pack in minor units, ≥ 0
 * @returns minor units, rounded to the nearest
 */
export function costMinor(
  concentrateMillilitres: number,
  packMillilitres: number,
  packPriceMinor: number,
): number {
  return Math.round((concentrateMillilitres / packMillilitres) * packPriceMinor)
}

/** Minor units in one unit of a currency (ISO 4217): 100 for most, 1 or 1000 for some. */
export const minorPerUnit = (currency: string): number =>
  Number(
    `1e${new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2}`,
  )
