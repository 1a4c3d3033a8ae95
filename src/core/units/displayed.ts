import { fromStored, type QuantityKind, type UnitName } from './unit'
import { bareUnit, type Region } from './region'

/** A quantity in the unit in which a person reads it. */
export interface Displayed {
  readonly value: number
  readonly unit: UnitName
  /** Digits after the point that say something; more would be false precision. */
  readonly maxDecimals: number
}

/** From a litre or half a gallon on, the larger unit reads better. */
const litreFromMillilitres = 1000
const gallonFromOunces = 64
const gallons = {
  us: ['usFluidOunce', 'usGallon'],
  imperial: ['imperialFluidOunce', 'imperialGallon'],
} as const

function volume(millilitres: number, system: Region['units']['volume']): Displayed {
  if (system === 'metric')
    return Math.abs(millilitres) >= litreFromMillilitres
      ? { value: fromStored(millilitres, 'litre'), unit: 'litre', maxDecimals: 2 }
      : { value: millilitres, unit: 'millilitre', maxDecimals: Math.abs(millilitres) < 20 ? 1 : 0 }
  const [ounce, gallon] = gallons[system]
  const ounces = fromStored(millilitres, ounce)
  return Math.abs(ounces) >= gallonFromOunces
    ? { value: fromStored(millilitres, gallon), unit: gallon, maxDecimals: 2 }
    : { value: ounces, unit: ounce, maxDecimals: Math.abs(ounces) >= 1 ? 1 : Math.abs(ounces) < 0.05 ? 4 : 2 }
}

/** What is said in small numbers in America. */
const small: ReadonlySet<QuantityKind> = new Set<QuantityKind>(['coverage', 'film', 'load', 'perDistance'])
const tenthsBelowMillimetres = 20

/** Units whose halves nobody tells apart; the others are said to a tenth. */
const wholeUnits: ReadonlySet<UnitName> = new Set<UnitName>([
  'celsius',
  'fahrenheit',
  'kilometre',
  'mile',
  'kilometrePerHour',
  'milePerHour',
  'kilopascal',
  'psi',
  'newtonMetre',
  'poundFoot',
  'millimetre',
  'ppm',
])

/** A stored quantity in the person's unit: ml and litres, ounces and gallons by size, the chosen unit for the rest. */
export function displayed(stored: number, kind: QuantityKind, region: Region): Displayed {
  if (kind === 'volume') return volume(stored, region.units.volume)
  const unit = bareUnit(kind, region)
  const value = fromStored(stored, unit)
  // Tread and small gaps are measured to tenths of a millimetre.
  const isSmall = unit === 'millimetre' && Math.abs(value) < tenthsBelowMillimetres
  const hundredths = unit === 'inch' || kind === 'flow' || (small.has(kind) && Math.abs(value) < 10)
  return { value, unit, maxDecimals: hundredths ? 2 : wholeUnits.has(unit) && !isSmall ? 0 : 1 }
}
