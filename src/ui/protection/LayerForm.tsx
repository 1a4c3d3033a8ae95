'use client'

import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { layerInput } from '@/contracts/protection'
import { protectionKinds, type ProtectionKind } from '@/core/protection/kinds'
import type { Position } from '@/core/wheel/position'
import { ChoiceField } from '../form/ChoiceField'
import { DateField } from '../form/DateField'
import { instantOfDay, localDay } from '../form/dayInput'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { typedNumber } from '../form/typedNumber'
import { useWritingForm } from '../form/useWritingForm'
import { WheelChips } from './WheelChips'

interface LayerFormProps {
  readonly wheelSetId: string
  readonly positions: readonly Position[]
  /** Products of the shop by kind, to choose from; others can be typed. */
  readonly known: readonly { readonly kind: ProtectionKind; readonly name: string }[]
  readonly keep: FormAction<unknown>
}

interface LayerValues {
  readonly positions: readonly Position[]
  readonly kind: ProtectionKind
  readonly productName: string
  readonly day: string
  readonly coats: string
  readonly appliedBy: string
  readonly cureUntil: string
}

/** Fields with a place of their own for their problem. */
const placed = ['positions', 'productName', 'at', 'coats', 'appliedBy', 'cureUntil']

const inputOf = ({ day, coats, cureUntil, ...rest }: LayerValues, requestId: string): unknown => ({
  ...rest,
  requestId,
  at: instantOfDay(day),
  coats: typedNumber(coats),
  cureUntil: cureUntil === '' ? null : new Date(cureUntil).toISOString(),
})

/** Protection that was put on outside a visit: here, or by somebody else. */
export function LayerForm({ wheelSetId, positions, known, keep }: LayerFormProps) {
  const t = useTranslations()

  const form = useWritingForm<LayerValues>({
    name: ['layer', wheelSetId],
    initial: {
      positions,
      kind: 'ceramicCoating',
      productName: '',
      day: localDay(currentTime()),
      coats: '1',
      appliedBy: '',
      cureUntil: '',
    },
    schema: layerInput,
    inputOf,
    send: keep,
    afterwards: (sent) => ({ ...sent, productName: '' }),
  })
  const { kind } = form.values
  return (
    <FormFrame form={form} className="field-grid">
      <div className="is-wide">
        <WheelChips positions={positions} {...form.at('positions')} />
      </div>
      <ChoiceField
        id="layer-kind"
        label={t('protection.layer.kind')}
        choices={protectionKinds.map((one) => [one, t(`terms.protection.${one}`)])}
        {...form.at('kind')}
      />
      <TextField
        id="layer-product"
        label={t('protection.layer.product')}
        maxLength={80}
        suggestions={known.filter((one) => one.kind === kind).map(({ name }) => name)}
        {...form.at('productName')}
      />
      <DateField id="layer-day" label={t('protection.layer.appliedOn')} {...form.at('day', 'at')} />
      <TextField id="layer-coats" label={t('protection.layer.coats')} mode="numeric" {...form.at('coats')} />
      <TextField
        id="layer-by"
        label={t('protection.layer.by')}
        maxLength={80}
        placeholder={t('protection.layer.byPlaceholder')}
        {...form.at('appliedBy')}
      />
      <DateField id="layer-cure" label={t('protection.layer.cures')} hasTime {...form.at('cureUntil')} />
      <div className="is-wide">
        <SubmitButton form={form} isSecond>
          {t('protection.layer.save')}
        </SubmitButton>
        <FormStatus form={form} isAtField={(path) => placed.includes(path)} />
      </div>
    </FormFrame>
  )
}
