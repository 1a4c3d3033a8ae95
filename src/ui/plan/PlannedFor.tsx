'use client'

import { useTranslations } from 'next-intl'
import { format } from 'date-fns'
import { hourInput } from '@/contracts/protection'
import { DateField } from '../form/DateField'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { useWritingForm } from '../form/useWritingForm'

interface PlannedForProps {
  readonly jobId: string
  readonly plannedFor: Date | null
  readonly plan: FormAction<unknown>
}

/** The day and the hour of a job; stands in Today and in the calendar. */
export function PlannedFor({ jobId, plannedFor, plan }: PlannedForProps) {
  const t = useTranslations()

  const form = useWritingForm({
    name: ['plannedFor', jobId],
    initial: { at: plannedFor ? format(plannedFor, "yyyy-MM-dd'T'HH:mm") : '' },
    schema: hourInput,
    inputOf: ({ at }) => ({ plannedFor: at === '' ? null : new Date(at).toISOString() }),
    send: plan,
  })
  return (
    <FormFrame form={form} className="reminder-form">
      <DateField
        id="planned-for"
        label={t('plan.plannedFor.label')}
        hasTime
        {...form.at('at', 'plannedFor')}
      />
      <SubmitButton form={form} isSecond>
        {t('plan.plannedFor.save')}
      </SubmitButton>
      <FormStatus
        form={form}
        isAtField={(path) => path === 'plannedFor'}
        saved={form.values.at === '' ? t('plan.plannedFor.removed') : t('plan.plannedFor.saved')}
      />
    </FormFrame>
  )
}
