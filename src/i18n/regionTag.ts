import { usualJug, type Jug } from '@/core/units/jug'
import { type Region, usualRegion, englishes, type English, type UnitPreferences } from '@/core/units/region'

/** The short form of each choice within a language tag: at most eight letters. */
const codes = {
  volume: { metric: 'metric', us: 'us', imperial: 'imperial' },
  temperature: { celsius: 'c', fahrenheit: 'f' },
  distance: { kilometre: 'km', mile: 'mi' },
  speed: { kilometrePerHour: 'kmh', milePerHour: 'mph', metrePerSecond: 'ms' },
  pressure: { bar: 'bar', kilopascal: 'kpa', psi: 'psi' },
  torque: { newtonMetre: 'nm', poundFoot: 'lbft' },
  length: { millimetre: 'mm', inch: 'in' },
  hardness: { ppm: 'ppm', germanDegree: 'dh', frenchDegree: 'fh', grainPerGallon: 'gpg' },
} as const satisfies {
  readonly [Kind in keyof UnitPreferences]: Readonly<Record<UnitPreferences[Kind], string>>
}

const kinds = Object.keys(codes) as (keyof typeof codes)[]

const codeOf = (kind: keyof typeof codes, { units }: Region): string =>
  (codes[kind] as Readonly<Record<string, string>>)[units[kind]] ?? ''

/** Tenths of a millilitre between two marks, or the name of the ounces. */
const jugCode = ({ system, stepMillilitres }: Jug): string =>
  system === 'metric' ? `jug${Math.round(stepMillilitres * 10)}` : `jug${system === 'us' ? 'us' : 'imp'}`

function jugOf(code: string | undefined): Jug | null {
  if (code === 'jugus') return usualJug.us
  if (code === 'jugimp') return usualJug.imperial
  const tenths = Number(/^jug(\d{1,4})$/.exec(code ?? '')?.[1] ?? 0)
  return tenths > 0 ? { system: 'metric', stepMillilitres: tenths / 10 } : null
}

const isSameJug = (one: Jug, other: Jug): boolean =>
  one.system === other.system && one.stepMillilitres === other.stepMillilitres

/**
 * A region as one language tag, which goes wherever the language of a page goes: `en-US`; with units chosen otherwise
 * `en-US-x-metric-f-mi-…-jug50`.
 */
export function tagOfRegion(region: Region): string {
  const usual = usualRegion(region.english)
  return kinds.every((kind) => region.units[kind] === usual.units[kind]) && isSameJug(region.jug, usual.jug)
    ? region.english
    : `${region.english}-x-${[...kinds.map((kind) => codeOf(kind, region)), jugCode(region.jug)].join('-')}`
}

const englishOf = (language: string): English => englishes.find((one) => one === language) ?? 'en'

/** The region of a tag; one that nobody made here is its language's usual one. */
export function regionOfTag(tag: string): Region {
  const [language = '', chosen] = tag.split('-x-')
  const english = englishOf(language)
  const usual = usualRegion(english)
  if (chosen === undefined) return usual
  const parts = chosen.split('-')
  const found = kinds.map((kind, at) => {
    const name = Object.entries(codes[kind]).find(([, code]) => code === parts[at])?.[0]
    return [kind, name ?? usual.units[kind]]
  })
  const units = Object.fromEntries(found) as unknown as UnitPreferences
  return { english, units, jug: jugOf(parts[kinds.length]) ?? usualJug[units.volume] }
}
