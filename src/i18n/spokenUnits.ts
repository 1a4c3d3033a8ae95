import type { Messages } from '@/catalogue/messages'
import type { Translator } from './translator'

type SpokenUnit = keyof Messages['bay']['spokenUnits']

/** Symbols as they stand on the screen; a voice would spell them. */
const symbols: readonly (readonly [symbol: string, unit: SpokenUnit])[] = [
  ['ml', 'millilitre'],
  ['mL', 'millilitre'],
  ['l', 'litre'],
  ['L', 'litre'],
  ['fl oz', 'fluidOunce'],
  ['gal', 'gallon'],
  ['°C', 'celsius'],
  ['°F', 'fahrenheit'],
  ['km', 'kilometre'],
  ['mi', 'mile'],
  ['bar', 'bar'],
  ['psi', 'psi'],
  ['N·m', 'newtonMetre'],
  ['lb-ft', 'poundFoot'],
  ['mm', 'millimetre'],
  ['in', 'inch'],
  ['s', 'second'],
  ['min', 'minute'],
  ['h', 'hour'],
]
const unitOf = new Map(symbols)
const longestFirst = symbols.map(([symbol]) => symbol).sort((a, b) => b.length - a.length)
/** "8 in 10" are no inches. */
const measured = new RegExp(`(\\d+(?:[.,]\\d+)*)\\s?(?!in \\d)(${longestFirst.join('|')})(?![\\w/])`, 'g')

/** A text with the units behind its numbers as words, for a voice. */
export const withSpokenUnits = (text: string, t: Translator): string =>
  text.replace(measured, (whole, number: string, symbol: string) => {
    const unit = unitOf.get(symbol)
    return unit
      ? `${number} ${t(`bay.spokenUnits.${unit}`, { count: Number(number.replace(',', '')) })}`
      : whole
  })
