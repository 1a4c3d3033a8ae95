'use client'

import { useTranslations } from 'next-intl'
import { stockInput } from '@/contracts/stock'
import { enteredMovements, type EnteredMovement } from '@/core/chemistry/stockMovement'
import { ChoiceField } from '../form/ChoiceField'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { typedNumber } from '../form/typedNumber'
import { useWritingForm } from '../form/useWritingForm'

interface StockFormProps {
  readonly productId: string
  readonly packMillilitres: number
  readonly keep: FormAction<unknown>
}

interface StockValues {
  readonly kind: EnteredMovement
  readonly millilitres: string
  readonly note: string
}

/** Enters what was bought, counted or has to be put right. */
export function StockForm({ productId, packMillilitres, keep }: StockFormProps) {
  const t = useTranslations()

  const form = useWritingForm<StockValues>({
    name: ['stock', productId],
    initial: { kind: 'bought', millilitres: String(packMillilitres), note: '' },
    schema: stockInput,
    inputOf: (values, requestId) => ({
      ...values,
      requestId,
      millilitres: typedNumber(values.millilitres),
    }),
    send: keep,
    afterwards: (sent) => ({ ...sent, note: '' }),
  })
  const { kind } = form.values
  return (
    <FormFrame form={form} className="reminder-form">
      <ChoiceField
        id="movement"
        label={t('cabinet.stock.what')}
        value={kind}
        choices={enteredMovements.map((one) => [one, t(`cabinet.stock.kinds.${one}.choice`)])}
        set={(next) =>
          form.change({ kind: next, millilitres: next === 'bought' ? String(packMillilitres) : '' })
        }
      />
      <TextField
        id="amount"
        label={t(`cabinet.stock.kinds.${kind}.amount`)}
        quantity="volume"
        {...form.at('millilitres')}
      />
      <TextField id="movement-note" label={t('cabinet.stock.note')} maxLength={200} {...form.at('note')} />
      <SubmitButton form={form}>{t('cabinet.stock.save')}</SubmitButton>
      <FormStatus form={form} isAtField={(path) => path === 'millilitres' || path === 'note'} />
    </FormFrame>
  )
}
