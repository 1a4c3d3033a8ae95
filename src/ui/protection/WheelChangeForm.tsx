'use client'

import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { wheelChangeInput } from '@/contracts/protection'
import { DateField } from '../form/DateField'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { typedNumberOrNull } from '../form/typedNumber'
import { useWritingForm } from '../form/useWritingForm'
import { SetChoice } from './SetChoice'

interface WheelChangeFormProps {
  readonly vehicleId: string
  readonly sets: readonly { readonly id: string; readonly name: string }[]
  /** The set that is on; null: none, or nobody knows. */
  readonly mountedSetId: string | null
  readonly lastStoredWhere: string
  readonly keep: FormAction<unknown>
}

interface WheelChangeValues {
  readonly mountedSetId: string | null
  readonly storedWhere: string
  readonly day: string
  readonly kilometres: string
  readonly torqueNewtonMetres: string
  readonly dateCode: string
  readonly treadMillimetres: string
}

/** Fields with a place of their own for their problem. */
const placed = ['storedWhere', 'at', 'kilometres', 'torqueNewtonMetres', 'dateCode', 'treadMillimetres']

const inputOf = ({ day, ...values }: WheelChangeValues, requestId: string): unknown => ({
  ...values,
  requestId,
  at: (day === '' ? currentTime() : new Date(day)).toISOString(),
  torqueNewtonMetres: typedNumberOrNull(values.torqueNewtonMetres),
  kilometres: typedNumberOrNull(values.kilometres),
  treadMillimetres: typedNumberOrNull(values.treadMillimetres),
})

/** Which set goes on: one tap chooses it, one keeps it. Everything else may be left out. */
export function WheelChangeForm({
  vehicleId,
  sets,
  mountedSetId,
  lastStoredWhere,
  keep,
}: WheelChangeFormProps) {
  const t = useTranslations()

  const others = sets.filter(({ id }) => id !== mountedSetId)
  const form = useWritingForm<WheelChangeValues>({
    name: ['wheelChange', vehicleId],
    initial: {
      mountedSetId: others.length === 1 ? (others[0]?.id ?? null) : null,
      storedWhere: lastStoredWhere,
      day: '',
      kilometres: '',
      torqueNewtonMetres: '',
      dateCode: '',
      treadMillimetres: '',
    },
    schema: wheelChangeInput,
    inputOf,
    send: keep,
  })
  const chosen = form.at('mountedSetId')
  return (
    <FormFrame form={form}>
      <SetChoice sets={sets} mountedSetId={mountedSetId} chosenId={chosen.value} choose={chosen.set} />
      <SubmitButton form={form} disabled={chosen.value === mountedSetId}>
        {t('protection.change.save')}
      </SubmitButton>
      <FormStatus form={form} isAtField={(path) => placed.includes(path)} />
      <div className="field-grid">
        <TextField
          id="change-where"
          label={t('protection.change.storedWhere')}
          maxLength={80}
          placeholder={t('protection.change.storedPlaceholder')}
          {...form.at('storedWhere')}
        />
        <DateField id="change-day" label={t('protection.change.when')} hasTime {...form.at('day', 'at')} />
        <TextField
          id="change-torque"
          label={t('protection.change.torque')}
          quantity="torque"
          hint={t('protection.change.torqueNote')}
          {...form.at('torqueNewtonMetres')}
        />
        <TextField
          id="change-kilometres"
          label={t('protection.change.odometer')}
          quantity="distance"
          {...form.at('kilometres')}
        />
        <TextField
          id="change-code"
          label={t('protection.change.dateCode')}
          maxLength={20}
          placeholder="2423"
          {...form.at('dateCode')}
        />
        <TextField
          id="change-tread"
          label={t('protection.change.tread')}
          quantity="length"
          {...form.at('treadMillimetres')}
        />
      </div>
    </FormFrame>
  )
}
