import { usualJug, type Jug, type VolumeSystem } from './jug'
import type { QuantityKind, UnitName } from './unit'

/** The Englishes there are: international, British, American. */
export const englishes = ['en', 'en-GB', 'en-US'] as const
export type English = (typeof englishes)[number]

/** Kinds that are measured as volumes are. */
const following = {
  flow: { metric: 'litrePerMinute', us: 'usGallonPerMinute', imperial: 'imperialGallonPerMinute' },
  coverage: {
    metric: 'millilitrePerSquareMetre',
    us: 'usFluidOuncePerSquareFoot',
    imperial: 'imperialFluidOuncePerSquareFoot',
  },
  film: { metric: 'gramPerSquareMetre', us: 'ouncePerSquareFoot', imperial: 'ouncePerSquareFoot' },
  load: { metric: 'gramPerLitre', us: 'ouncePerUsGallon', imperial: 'ouncePerImperialGallon' },
} as const satisfies Partial<Record<QuantityKind, Readonly<Record<VolumeSystem, UnitName>>>>

/** Units that a shop can choose for each kind that does not follow another. */
export const unitChoices = {
  temperature: ['celsius', 'fahrenheit'],
  distance: ['kilometre', 'mile'],
  speed: ['kilometrePerHour', 'milePerHour', 'metrePerSecond'],
  pressure: ['bar', 'kilopascal', 'psi'],
  torque: ['newtonMetre', 'poundFoot'],
  length: ['millimetre', 'inch'],
  hardness: ['ppm', 'germanDegree', 'frenchDegree', 'grainPerGallon'],
} as const satisfies Record<
  Exclude<QuantityKind, 'volume' | keyof typeof following | 'perDistance'>,
  readonly UnitName[]
>

type Choices = typeof unitChoices
export type UnitPreferences = { readonly [Kind in keyof Choices]: Choices[Kind][number] } & {
  readonly volume: VolumeSystem
}

/** How a person writes and measures. */
export interface Region {
  readonly english: English
  readonly units: UnitPreferences
  /** What concentrate and water are measured with. */
  readonly jug: Jug
}

const metric: UnitPreferences = {
  volume: 'metric',
  temperature: 'celsius',
  distance: 'kilometre',
  speed: 'kilometrePerHour',
  pressure: 'bar',
  torque: 'newtonMetre',
  length: 'millimetre',
  hardness: 'ppm',
}

/** What people usually measure in where an English is spoken; every kind can be chosen otherwise. */
export const usualUnits: Readonly<Record<English, UnitPreferences>> = {
  en: metric,
  'en-GB': { ...metric, distance: 'mile', speed: 'milePerHour', pressure: 'psi' },
  'en-US': {
    volume: 'us',
    temperature: 'fahrenheit',
    distance: 'mile',
    speed: 'milePerHour',
    pressure: 'psi',
    torque: 'poundFoot',
    length: 'inch',
    hardness: 'grainPerGallon',
  },
}

export const usualRegion = (english: English): Region => ({
  english,
  units: usualUnits[english],
  jug: usualJug[usualUnits[english].volume],
})

/** Languages and how much each is wanted, in the order of the header. */
const wantedLanguages = (acceptLanguage: string): string[] =>
  acceptLanguage
    .split(',')
    .map((part, at) => {
      const [tag = '', ...parameters] = part.trim().split(';')
      const weight = /^\s*q=([\d.]+)/.exec(parameters.find((one) => /^\s*q=/.test(one)) ?? '')?.[1]
      return { tag: tag.trim(), weight: weight === undefined ? 1 : Number(weight), at }
    })
    .filter(({ tag, weight }) => tag !== '' && weight > 0)
    .sort((a, b) => b.weight - a.weight || a.at - b.at)
    .map(({ tag }) => tag.toLowerCase())

/** Where miles and Fahrenheit are usual beside the United States. */
const americanTags = /^(?:en|es)-us$/
const britishTags = /^(?:en|cy|gd)-gb$/

/**
 * The usual region of a browser, from its `Accept-Language`. The first language with a country decides; none: international.
 */
export function guessRegion(acceptLanguage: string | null): Region {
  const first = wantedLanguages(acceptLanguage ?? '').find((tag) => tag.includes('-'))
  if (first !== undefined && americanTags.test(first)) return usualRegion('en-US')
  if (first !== undefined && britishTags.test(first)) return usualRegion('en-GB')
  return usualRegion('en')
}

/** Ounces and gallons that are meant by the word alone; null: nobody knows. */
export const ounceSystem = ({ units }: Region): 'us' | 'imperial' | null =>
  units.volume === 'metric' ? null : units.volume

const bareVolume = { metric: 'millilitre', us: 'usFluidOunce', imperial: 'imperialFluidOunce' } as const
const largeVolume = { metric: 'litre', us: 'usGallon', imperial: 'imperialGallon' } as const

/** The unit in which a person writes a bare number of a kind. */
export function bareUnit(kind: QuantityKind, { units }: Region): UnitName {
  switch (kind) {
    case 'volume':
      return bareVolume[units.volume]
    case 'flow':
    case 'coverage':
    case 'film':
    case 'load':
      return following[kind][units.volume]
    case 'perDistance':
      return units.distance === 'mile' ? 'perThousandMiles' : 'perThousandKilometres'
    default:
      return units[kind]
  }
}

/** The unit of a bare number where a volume is a bucketful, or what a resin lasts for. */
export const bareLargeUnit = ({ units }: Region): UnitName => largeVolume[units.volume]
