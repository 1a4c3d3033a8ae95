/** Prices of the shop, which a file may leave out. */
const prices = new Set(['packPriceMinor', 'otherPacks'])
/** What something costs, which a plan always says. */
const cost = 'costMinor'

function told(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(told)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key]) => !prices.has(key))
      .map(([key, own]) => [key, key === cost ? 0 : told(own)]),
  )
}

/** A job file or plan file for somebody who is told no costs: without the shop's prices, with costs of 0. */
export const withoutCosts = <File>(file: File): File => told(file) as File
