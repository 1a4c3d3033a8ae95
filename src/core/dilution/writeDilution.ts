import { exhaustive } from '@/core/exhaustive'
import { millilitresPerUnit } from '@/core/quantity/volume'
import { writeSignificant } from '@/core/quantity/rounding'
import { waterPartsOf, type Mix } from './mix'

export const dilutionStyles = ['ratio', 'percent', 'millilitresPerLitre', 'ouncesPerGallonUs'] as const

/** How a person likes to read a strength. */
export type DilutionStyle = (typeof dilutionStyles)[number]

function writeFraction(fraction: number, style: DilutionStyle): string {
  if (fraction >= 1) return 'neat'
  const waterParts = waterPartsOf(fraction)
  switch (style) {
    case 'ratio':
      // 1:0.5 could be read either way round, so more concentrate than water is written in percent.
      return waterParts < 1 ? writeFraction(fraction, 'percent') : `1:${writeSignificant(waterParts)}`
    case 'percent':
      return `${writeSignificant(fraction * 100)} %`
    case 'millilitresPerLitre':
      return `${writeSignificant(1000 / waterParts)} ml per litre`
    case 'ouncesPerGallonUs': {
      const { ounce, gallon } = millilitresPerUnit.us
      return `${writeSignificant(gallon / waterParts / ounce)} US oz per US gallon`
    }
    default:
      return exhaustive(style)
  }
}

/** Writes a mix so that reading it again gives the same strength within one part in a thousand. */
export function writeDilution(mix: Mix, style: DilutionStyle = 'ratio'): string {
  const weaker = writeFraction(mix.from, style)
  const stronger = writeFraction(mix.to, style)
  return weaker === stronger ? weaker : `${weaker} to ${stronger}`
}
