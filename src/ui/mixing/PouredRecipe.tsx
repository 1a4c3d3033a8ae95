import { useFormats } from '@/i18n/useFormats'
import { regionOfTag } from '@/i18n/regionTag'
import { useLocale, useTranslations } from 'next-intl'
import type { Mix } from '@/core/dilution/mix'
import type { MixingRecipe } from '@/core/dilution/recipe'
import { dilutionStylesOf, writeDilution } from '@/core/dilution/writeDilution'
import { BottleDrawing } from '../plan/BottleDrawing'

/** From here on it is said that the jug measures no less. */
const muchMore = 1.15

interface PouredRecipeProps {
  readonly recipe: MixingRecipe
  readonly wantedMillilitres: number
  /** What the label allows; the middle of it is mixed. */
  readonly labelRange: Mix
  /** Share of concentrate that a foam lance leaves at the wheel; null: it is not for a lance. */
  readonly atWheel: number | null
}

/** What to pour, and the same strength as others write it. */
export function PouredRecipe({ recipe, wantedMillilitres, labelRange, atWheel }: PouredRecipeProps) {
  const formats = useFormats()
  const t = useTranslations()
  const { concentrateMillilitres, waterMillilitres, realFraction } = recipe
  const isMetric = regionOfTag(useLocale()).units.volume === 'metric'
  const strength = { from: realFraction, to: realFraction }
  const written = new Set(dilutionStylesOf(isMetric).map((style) => writeDilution(strength, style)))
  return (
    <div className="bench-recipe" aria-live="polite">
      <BottleDrawing recipe={recipe} delivery="trigger" id="bench-bottle" />
      <div>
        <p className="bench-figure">
          {formats.poured(concentrateMillilitres)}
          {waterMillilitres > 0 && t('mixing.addWater', { water: formats.poured(waterMillilitres) })}
        </p>
        <p className="soft">{[...written].join('  ·  ')}</p>
        {recipe.totalMillilitres > muchMore * wantedMillilitres && (
          <p className="soft">{t('mixing.leastMix', { total: formats.poured(recipe.totalMillilitres) })}</p>
        )}
        {labelRange.from !== labelRange.to && (
          <p className="soft">{t('mixing.labelRange', { range: writeDilution(labelRange) })}</p>
        )}
        {atWheel !== null && (
          <p className="soft">{t('mixing.lanceShare', { percent: formats.number(atWheel * 100, 2) })}</p>
        )}
        <p className="soft">{t('mixing.pouring', { water: String(waterMillilitres > 0) })}</p>
      </div>
    </div>
  )
}
