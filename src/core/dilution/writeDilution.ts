import { exhaustive } from '@/core/exhaustive'
import { millilitresPerUnit } from '@/core/quantity/volume'
import { writeSignificant } from '@/core/quantity/rounding'
import { fractionFromRatio, waterPartsOf, type Mix } from './mix'

export const dilutionStyles = ['ratio', 'percent', 'millilitresPerLitre', 'ouncesPerGallonUs'] as const

/** How a person likes to read a strength. */
export type DilutionStyle = (typeof dilutionStyles)[number]

/**
 * Styles that somebody reads who measures so; parts and percent are everybody's.
 * @param measuresInMillilitres whether they measure in millilitres
 */
export const dilutionStylesOf = (measuresInMillilitres: boolean): readonly DilutionStyle[] =>
  dilutionStyles.filter(
    (style) => style !== (measuresInMillilitres ? 'ouncesPerGallonUs' : 'millilitresPerLitre'),
  )

function writeFraction(fraction: number, style: DilutionStyle, digits: number): string {
  if (fraction >= 1) return 'neat'
  const waterParts = waterPartsOf(fraction)
  switch (style) {
    case 'ratio':
      // 1:0.5 could be read either way round, so more concentrate than water is written in percent.
      return waterParts < 1
        ? writeFraction(fraction, 'percent', digits)
        : `1:${writeSignificant(waterParts, digits)}`
    case 'percent':
      return `${writeSignificant(fraction * 100, digits)} %`
    case 'millilitresPerLitre':
      return `${writeSignificant(1000 / waterParts, digits)} ml per litre`
    case 'ouncesPerGallonUs': {
      const { ounce, gallon } = millilitresPerUnit.us
      return `${writeSignificant(gallon / waterParts / ounce, digits)} US oz per US gallon`
    }
    default:
      return exhaustive(style)
  }
}

/** Enough to be read again as the same strength. */
const exactDigits = 4
/** What a measuring jug can tell apart. */
const spokenDigits = 2

/** Rounder steps for what is thinner, the first that is as good as the same. House estimate. */
const steps: readonly (readonly [aboveParts: number, steps: readonly number[]])[] = [
  [100, [50, 5]],
  [3, [1, 0.5]],
]
const asGoodShare = 0.04

/** Parts of water as people say them. */
function roundParts(waterParts: number): number {
  const [, own = []] = steps.find(([above]) => waterParts >= above) ?? []
  const rounded = own.map((step) => step * Math.round(waterParts / step))
  return rounded.find((parts) => Math.abs(parts - waterParts) <= asGoodShare * waterParts) ?? waterParts
}

/** A strength as it is said at the bench: 1:4 and 1:700, not 1:3.923 and 1:707. */
export const sayDilution = (fraction: number, style: DilutionStyle = 'ratio'): string =>
  writeFraction(
    style === 'ratio' ? fractionFromRatio(roundParts(waterPartsOf(fraction))) : fraction,
    style,
    spokenDigits,
  )

/** Writes a mix so that reading it again gives the same strength within one part in a thousand. */
export function writeDilution(mix: Mix, style: DilutionStyle = 'ratio'): string {
  const weaker = writeFraction(mix.from, style, exactDigits)
  const stronger = writeFraction(mix.to, style, exactDigits)
  return weaker === stronger ? weaker : `${weaker} to ${stronger}`
}
