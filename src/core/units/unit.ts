import { millilitresPerUnit } from '@/core/quantity/volume'

/** What can be measured. The core keeps each kind in one unit: see `storedUnit`. */
export const quantityKinds = [
  'volume',
  'flow',
  'coverage',
  'film',
  'load',
  'perDistance',
  'temperature',
  'distance',
  'speed',
  'pressure',
  'torque',
  'length',
  'hardness',
] as const
export type QuantityKind = (typeof quantityKinds)[number]

/** How a unit becomes the stored one: value × factor + offset. */
interface UnitDefinition {
  readonly kind: QuantityKind
  readonly factor: number
  readonly offset?: number
}

const { us, imperial } = millilitresPerUnit
const millimetresPerInch = 25.4
const squareMetresPerSquareFoot = 0.09290304
const gramsPerOunce = 28.349523125
const kilometresPerMile = 1.609344
/** The pound-force on a square inch, in bar; the pound-force foot, in newton metres. International pound, standard gravity. */
const barPerPsi = 0.0689475729
const newtonMetresPerPoundFoot = 1.3558179483
/** Parts per million as calcium carbonate: German and French degrees, grains per US gallon. */
const ppmPerGermanDegree = 17.848
const ppmPerFrenchDegree = 10
const ppmPerGrain = 17.118

/** All units that are read and written. */
export const units = {
  millilitre: { kind: 'volume', factor: 1 },
  litre: { kind: 'volume', factor: 1000 },
  usFluidOunce: { kind: 'volume', factor: us.ounce },
  usPint: { kind: 'volume', factor: us.pint },
  usQuart: { kind: 'volume', factor: us.quart },
  usGallon: { kind: 'volume', factor: us.gallon },
  imperialFluidOunce: { kind: 'volume', factor: imperial.ounce },
  imperialPint: { kind: 'volume', factor: imperial.pint },
  imperialQuart: { kind: 'volume', factor: imperial.quart },
  imperialGallon: { kind: 'volume', factor: imperial.gallon },
  litrePerMinute: { kind: 'flow', factor: 1 },
  usGallonPerMinute: { kind: 'flow', factor: us.gallon / 1000 },
  imperialGallonPerMinute: { kind: 'flow', factor: imperial.gallon / 1000 },
  millilitrePerSquareMetre: { kind: 'coverage', factor: 1 },
  usFluidOuncePerSquareFoot: { kind: 'coverage', factor: us.ounce / squareMetresPerSquareFoot },
  imperialFluidOuncePerSquareFoot: { kind: 'coverage', factor: imperial.ounce / squareMetresPerSquareFoot },
  gramPerSquareMetre: { kind: 'film', factor: 1 },
  ouncePerSquareFoot: { kind: 'film', factor: gramsPerOunce / squareMetresPerSquareFoot },
  gramPerLitre: { kind: 'load', factor: 1 },
  ouncePerUsGallon: { kind: 'load', factor: (gramsPerOunce * 1000) / us.gallon },
  ouncePerImperialGallon: { kind: 'load', factor: (gramsPerOunce * 1000) / imperial.gallon },
  perThousandKilometres: { kind: 'perDistance', factor: 1 },
  perThousandMiles: { kind: 'perDistance', factor: 1 / kilometresPerMile },
  celsius: { kind: 'temperature', factor: 1 },
  fahrenheit: { kind: 'temperature', factor: 5 / 9, offset: -160 / 9 },
  kilometre: { kind: 'distance', factor: 1 },
  mile: { kind: 'distance', factor: kilometresPerMile },
  kilometrePerHour: { kind: 'speed', factor: 1 },
  milePerHour: { kind: 'speed', factor: kilometresPerMile },
  metrePerSecond: { kind: 'speed', factor: 3.6 },
  bar: { kind: 'pressure', factor: 1 },
  kilopascal: { kind: 'pressure', factor: 0.01 },
  psi: { kind: 'pressure', factor: barPerPsi },
  newtonMetre: { kind: 'torque', factor: 1 },
  poundFoot: { kind: 'torque', factor: newtonMetresPerPoundFoot },
  millimetre: { kind: 'length', factor: 1 },
  centimetre: { kind: 'length', factor: 10 },
  inch: { kind: 'length', factor: millimetresPerInch },
  ppm: { kind: 'hardness', factor: 1 },
  germanDegree: { kind: 'hardness', factor: ppmPerGermanDegree },
  frenchDegree: { kind: 'hardness', factor: ppmPerFrenchDegree },
  grainPerGallon: { kind: 'hardness', factor: ppmPerGrain },
} as const satisfies Record<string, UnitDefinition>

export type UnitName = keyof typeof units
export const unitNames = Object.keys(units) as UnitName[]

/** The unit each kind is kept in: ml, l/min, ml/m², g/m², g/l, 1/1000 km, °C, km, km/h, bar, N·m, mm, ppm. */
export const storedUnit = {
  volume: 'millilitre',
  flow: 'litrePerMinute',
  coverage: 'millilitrePerSquareMetre',
  film: 'gramPerSquareMetre',
  load: 'gramPerLitre',
  perDistance: 'perThousandKilometres',
  temperature: 'celsius',
  distance: 'kilometre',
  speed: 'kilometrePerHour',
  pressure: 'bar',
  torque: 'newtonMetre',
  length: 'millimetre',
  hardness: 'ppm',
} as const satisfies Record<QuantityKind, UnitName>

export const kindOfUnit = (unit: UnitName): QuantityKind => units[unit].kind

const definitionOf = (unit: UnitName): UnitDefinition => units[unit]

/** A value in some unit, in the unit its kind is kept in. */
export const toStored = (value: number, unit: UnitName): number => {
  const { factor, offset = 0 } = definitionOf(unit)
  return value * factor + offset
}

/** A stored value in some unit of its kind. */
export const fromStored = (stored: number, unit: UnitName): number => {
  const { factor, offset = 0 } = definitionOf(unit)
  return (stored - offset) / factor
}
