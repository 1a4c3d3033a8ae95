'use client'

import { spoken } from '@/i18n/spoken'
import { useFormats } from '@/i18n/useFormats'
import { useSay } from '@/i18n/useSay'
import { regionOfTag } from '@/i18n/regionTag'
import { millilitresPerUnit, type OunceSystem } from '@/core/quantity/volume'
import { useLocale, useTranslations } from 'next-intl'
import { useState } from 'react'
import { lanceSurfaceFraction } from '@/core/dilution/foamLance'
import type { Mix } from '@/core/dilution/mix'
import { readDilution } from '@/core/dilution/readDilution'
import { writeDilution } from '@/core/dilution/writeDilution'
import type { FormAction } from '../form/formAction'
import { holdsOf } from '../form/ContainerQuestion'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { keptText } from '../form/quantityText'
import { useWritingForm } from '../form/useWritingForm'
import { FoamLance } from './FoamLance'
import { MixFields } from './MixFields'
import { mixOf, type MixValues } from './mixValues'
import { numberOf } from './numberOf'
import { PouredRecipe } from './PouredRecipe'

interface MixingBenchProps {
  readonly products: readonly { readonly id: string; readonly name: string; readonly strength: Mix }[]
  readonly chosenId: string | null
  readonly ounces: OunceSystem | null
  readonly lance: { readonly washerLitresPerMinute: number; readonly drawLitresPerMinute: number }
  readonly keep: FormAction<unknown>
}

/** A bottle: half a litre, 16 or 20 ounces. */
const usualTotal = {
  metric: 500,
  us: 16 * millilitresPerUnit.us.ounce,
  imperial: 20 * millilitresPerUnit.imperial.ounce,
}

/** Any way of saying a strength in; what to pour, what the lance makes of it, and a bottle with a label out. */
export function MixingBench({ products, chosenId, ounces, lance, keep }: MixingBenchProps) {
  const t = useTranslations()
  const say = useSay()
  const formats = useFormats()
  const locale = useLocale()

  const [draw, setDraw] = useState(lance.drawLitresPerMinute)
  const first = products.find(({ id }) => id === chosenId) ?? products[0]
  const readingOf = ({ said, holds }: MixValues) =>
    spoken(readDilution(said, { ...(ounces ? { ounces } : {}), holdsMillilitres: holdsOf(holds) }), say)
  const mixedOf = (values: MixValues) => {
    const mix = mixOf(readingOf(values), values.answer)
    const wantedMillilitres = numberOf(values.totalMillilitres)
    // Of a range the middle is mixed; the ends are said.
    return mix && wantedMillilitres > 0
      ? { mix, wantedMillilitres, recipe: formats.onMarks(Math.sqrt(mix.from * mix.to), wantedMillilitres) }
      : null
  }
  const form = useWritingForm<MixValues>({
    name: ['bottle', chosenId ?? undefined],
    initial: {
      productId: first?.id ?? '',
      said: first ? writeDilution(first.strength) : '1:10',
      answer: null,
      totalMillilitres: keptText(usualTotal[regionOfTag(locale).units.volume]),
      holds: {},
      mixedBy: '',
    },
    inputOf: (values, requestId) => ({
      requestId,
      productId: values.productId,
      fraction: mixedOf(values)?.recipe?.realFraction,
      totalMillilitres: mixedOf(values)?.recipe?.totalMillilitres,
      mixedBy: values.mixedBy,
    }),
    send: keep,
  })
  const { values } = form
  const reading = readingOf(values)
  const mixed = mixedOf(values)
  const flow = { washerLitresPerMinute: lance.washerLitresPerMinute, drawLitresPerMinute: draw }
  return (
    <div className="bench">
      <FormFrame form={form} className="bench-mix">
        <MixFields form={form} products={products} reading={reading} />
        {mixed?.recipe && (
          <PouredRecipe
            recipe={mixed.recipe}
            wantedMillilitres={mixed.wantedMillilitres}
            labelRange={mixed.mix}
            atWheel={
              reading.kind === 'mix' && reading.inLanceBottle
                ? lanceSurfaceFraction(mixed.recipe.realFraction, flow)
                : null
            }
          />
        )}
        <div className="bench-keep">
          <TextField id="mixedBy" label={t('mixing.mixedBy')} maxLength={80} {...form.at('mixedBy')} />
          <SubmitButton form={form} disabled={!mixed?.recipe || values.productId === ''}>
            {t('mixing.save')}
          </SubmitButton>
        </div>
        <FormStatus form={form} isAtField={(path) => path === 'mixedBy' || path === 'totalMillilitres'} />
      </FormFrame>

      <FoamLance washerLitresPerMinute={lance.washerLitresPerMinute} draw={draw} setDraw={setDraw} />
    </div>
  )
}
