/** Ounces and gallons differ by country; the words alone do not tell. */
export type OunceSystem = 'us' | 'imperial'

/** Millilitres in one unit; the legal definitions of the US and the British units. */
export const millilitresPerUnit = {
  us: { ounce: 29.5735295625, pint: 473.176473, quart: 946.352946, gallon: 3785.411784 },
  imperial: { ounce: 28.4130625, pint: 568.26125, quart: 1136.5225, gallon: 4546.09 },
} as const

export type CustomaryUnit = keyof (typeof millilitresPerUnit)['us']
