'use client'

import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { odometerInput } from '@/contracts/protection'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { typedNumber } from '../form/typedNumber'
import { useWritingForm } from '../form/useWritingForm'

interface OdometerFormProps {
  readonly wheelSetId: string
  readonly keep: FormAction<unknown>
}

/** One reading of the odometer. */
export function OdometerForm({ wheelSetId, keep }: OdometerFormProps) {
  const t = useTranslations()

  const form = useWritingForm({
    name: ['odometer', wheelSetId],
    initial: { kilometres: '' },
    schema: odometerInput,
    inputOf: ({ kilometres }) => ({ kilometres: typedNumber(kilometres), at: currentTime().toISOString() }),
    send: keep,
    afterwards: () => ({ kilometres: '' }),
  })
  return (
    <FormFrame form={form} className="reminder-form">
      <TextField
        id="odometer"
        label={t('protection.odometer.label')}
        quantity="distance"
        {...form.at('kilometres')}
      />
      <SubmitButton form={form} isSecond>
        {t('protection.odometer.save')}
      </SubmitButton>
      <FormStatus form={form} isAtField={(path) => path === 'kilometres'} />
    </FormFrame>
  )
}
