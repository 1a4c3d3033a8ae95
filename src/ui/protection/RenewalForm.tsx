'use client'

import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { renewalInput } from '@/contracts/protection'
import type { Position } from '@/core/wheel/position'
import { ChoiceField } from '../form/ChoiceField'
import { DateField } from '../form/DateField'
import { instantOfDay, localDay } from '../form/dayInput'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { useWritingForm } from '../form/useWritingForm'
import { WheelChips } from './WheelChips'

interface RenewalFormProps {
  readonly wheelSetId: string
  readonly positions: readonly Position[]
  readonly keep: FormAction<unknown>
}

interface RenewalValues {
  readonly positions: readonly Position[]
  readonly kind: 'new' | 'repainted'
  readonly day: string
}

/** Wheels that are new or were repainted: what was on them is on record, and gone. */
export function RenewalForm({ wheelSetId, positions, keep }: RenewalFormProps) {
  const t = useTranslations()

  const form = useWritingForm<RenewalValues>({
    name: ['renewal', wheelSetId],
    initial: { positions, kind: 'repainted', day: localDay(currentTime()) },
    schema: renewalInput,
    inputOf: ({ day, ...rest }, requestId) => ({ ...rest, requestId, at: instantOfDay(day) }),
    send: keep,
  })
  return (
    <FormFrame form={form} className="field-grid">
      <div className="is-wide">
        <WheelChips positions={positions} {...form.at('positions')} />
      </div>
      <ChoiceField
        id="renewal-kind"
        label={t('protection.renewal.label')}
        choices={[
          ['repainted', t('protection.renewal.repainted')],
          ['new', t('protection.renewal.new')],
        ]}
        {...form.at('kind')}
      />
      <DateField id="renewal-day" label={t('protection.renewal.since')} {...form.at('day', 'at')} />
      <div className="is-wide">
        <SubmitButton form={form} isSecond>
          {t('protection.renewal.save')}
        </SubmitButton>
        <FormStatus form={form} isAtField={(path) => path === 'at' || path === 'positions'} />
      </div>
    </FormFrame>
  )
}
