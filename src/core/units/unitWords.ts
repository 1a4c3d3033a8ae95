import type { UnitName } from './unit'

/** What a word for a unit can mean; several where only the country tells. */
type Meaning = readonly [UnitName, ...UnitName[]]

const entries: readonly (readonly [pattern: string, ...meanings: Meaning])[] = [
  ['ml|mls|cc|millilit(?:er|re)s?', 'millilitre'],
  ['l|lit(?:er|re)s?', 'litre'],
  ['(?:fl\\.? ?|fluid )?(?:oz|ozs|ounces?)\\.?', 'usFluidOunce', 'imperialFluidOunce'],
  ['pints?|pts?\\.?', 'usPint', 'imperialPint'],
  ['quarts?|qts?\\.?', 'usQuart', 'imperialQuart'],
  ['gallons?|gals?\\.?', 'usGallon', 'imperialGallon'],
  ['l ?/ ?min|lpm|lit(?:er|re)s? (?:per|a) minute', 'litrePerMinute'],
  ['gpm|gal(?:lons?)?\\.? ?(?:/|per|a) ?min(?:ute)?', 'usGallonPerMinute', 'imperialGallonPerMinute'],
  ['ml ?/ ?m(?:²|2)', 'millilitrePerSquareMetre'],
  ['(?:fl\\.? ?)?oz ?/ ?ft(?:²|2)', 'usFluidOuncePerSquareFoot', 'imperialFluidOuncePerSquareFoot', 'ouncePerSquareFoot'],
  ['g ?/ ?m(?:²|2)', 'gramPerSquareMetre'],
  ['g ?/ ?l', 'gramPerLitre'],
  ['oz ?/ ?gal', 'ouncePerUsGallon', 'ouncePerImperialGallon'],
  ['(?:/|per) ?1000 ?km', 'perThousandKilometres'],
  ['(?:/|per) ?1000 ?mi', 'perThousandMiles'],
  ['°? ?c|celsius|degrees? (?:c|celsius)', 'celsius'],
  ['°? ?f|fahrenheit|degrees? (?:f|fahrenheit)', 'fahrenheit'],
  ['km|kms|kilomet(?:er|re)s?', 'kilometre'],
  ['mi|miles?', 'mile'],
  ['km ?/ ?h|kmh|kph|kilomet(?:er|re)s? (?:per|an) hour', 'kilometrePerHour'],
  ['mph|mi ?/ ?h|miles? (?:per|an) hour', 'milePerHour'],
  ['m ?/ ?s|met(?:er|re)s? (?:per|a) second', 'metrePerSecond'],
  ['bars?', 'bar'],
  ['kpa|kilopascals?', 'kilopascal'],
  ['psi|lbs? ?/ ?in(?:²|2)', 'psi'],
  ['n ?[·.*-]? ?m|newton[ -]?met(?:er|re)s?', 'newtonMetre'],
  ['(?:lbs?|pounds?)[ ·.-]?(?:f|-force)?[ ·.-]?(?:ft|feet|foot)\\.?|(?:ft|foot|feet)[ ·.-]?(?:lbs?|pounds?)\\.?', 'poundFoot'],
  ['mm|millimet(?:er|re)s?', 'millimetre'],
  ['cm|centimet(?:er|re)s?', 'centimetre'],
  ['in\\.?|inch(?:es)?|"|″|”', 'inch'],
  ['ppm|mg ?/ ?l', 'ppm'],
  ['° ?dh|dh', 'germanDegree'],
  ['° ?fh|fh|° ?f', 'frenchDegree'],
  ['gpg|grains?(?: per gallon)?', 'grainPerGallon'],
] // prettier-ignore

const patterns = entries.map(([pattern, ...meanings]) => ({
  pattern: new RegExp(`^(?:${pattern})$`, 'i'),
  meanings,
}))

const countries: readonly (readonly [RegExp, 'us' | 'imperial'])[] = [
  [/^(?:us|u\.s\.|american)\s+/i, 'us'],
  [/^(?:imperial|imp\.?|uk|british)\s+/i, 'imperial'],
]

/** What a word for a unit means, of every kind of quantity; none: nobody says so. */
export function meaningsOf(word: string): readonly UnitName[] {
  const [country, rest] = countries.reduce<readonly ['us' | 'imperial' | null, string]>(
    (found, [pattern, name]) => (pattern.test(found[1]) ? [name, found[1].replace(pattern, '')] : found),
    [null, word.trim()],
  )
  const meanings = patterns.flatMap(({ pattern, meanings: all }) => (pattern.test(rest) ? all : []))
  return country === null ? meanings : meanings.filter((unit) => unit.startsWith(country))
}
