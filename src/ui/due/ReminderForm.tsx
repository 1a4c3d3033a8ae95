'use client'

import { useTranslations } from 'next-intl'
import { reminderInput } from '@/contracts/protection'
import { DateField } from '../form/DateField'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { typedNumberOrNull } from '../form/typedNumber'
import { useWritingForm } from '../form/useWritingForm'

const empty = { about: '', dueOn: '', repeatDays: '' }

/** A reminder of one's own: what, when, and whether it comes round. */
export function ReminderForm({ keep }: { readonly keep: FormAction<unknown> }) {
  const t = useTranslations()

  const form = useWritingForm({
    name: ['reminder'],
    initial: empty,
    schema: reminderInput,
    inputOf: (values, requestId) => ({
      ...values,
      requestId,
      repeatDays: typedNumberOrNull(values.repeatDays),
    }),
    send: keep,
    afterwards: (sent) => ({ ...sent, about: '' }),
  })
  return (
    <FormFrame form={form} className="reminder-form">
      <TextField id="reminder-about" label={t('due.reminder.what')} maxLength={120} {...form.at('about')} />
      <DateField id="reminder-day" label={t('due.reminder.on')} {...form.at('dueOn')} />
      <TextField
        id="reminder-repeat"
        label={t('due.reminder.every')}
        mode="numeric"
        placeholder={t('due.reminder.once')}
        {...form.at('repeatDays')}
      />
      <SubmitButton form={form} isSecond>
        {t('due.reminder.save')}
      </SubmitButton>
      <FormStatus form={form} isAtField={(path) => path in empty} />
    </FormFrame>
  )
}
