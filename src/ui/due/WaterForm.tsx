'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { waterInput } from '@/contracts/protection'
import type { Result } from '@/core/result'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { typedNumber } from '../form/typedNumber'
import { useWritingForm } from '../form/useWritingForm'

interface WaterFormProps {
  readonly ask: () => Promise<
    Result<{ readonly beforePpm: number; readonly afterPpm: number; readonly isSimulated: boolean }, string>
  >
  readonly keep: FormAction<unknown>
}

const empty = { beforePpm: '', afterPpm: '' }

/** Dissolved solids before and behind the filter: off the meter, or typed. */
export function WaterForm({ ask, keep }: WaterFormProps) {
  const t = useTranslations()

  const [read, setRead] = useState<'no' | 'meter' | 'simulated'>('no')
  const form = useWritingForm({
    name: ['water'],
    initial: empty,
    schema: waterInput,
    inputOf: ({ beforePpm, afterPpm }) => ({
      beforePpm: typedNumber(beforePpm),
      afterPpm: typedNumber(afterPpm),
    }),
    send: keep,
    whenSent: () => setRead('no'),
  })
  const readMeter = () =>
    form.send(async () => {
      const reading = await ask()
      if (!reading.ok) return { problems: reading.problems }
      const { beforePpm, afterPpm, isSimulated } = reading.value
      form.change({ beforePpm: String(beforePpm), afterPpm: String(afterPpm) })
      setRead(isSimulated ? 'simulated' : 'meter')
      return { problems: [] }
    })
  return (
    <FormFrame form={form} className="reminder-form">
      <Button variant="outline-secondary" disabled={form.busy} onClick={readMeter}>
        {t('due.water.read')}
      </Button>
      <TextField
        id="before-ppm"
        label={t('due.water.before')}
        quantity="hardness"
        {...form.at('beforePpm')}
      />
      <TextField id="after-ppm" label={t('due.water.after')} quantity="hardness" {...form.at('afterPpm')} />
      <SubmitButton form={form}>{t('due.water.save')}</SubmitButton>
      {read !== 'no' && (
        <span role="status" className="soft">
          {read === 'simulated' ? t('due.water.readSimulated') : t('due.water.readMeter')}
        </span>
      )}
      <FormStatus form={form} isAtField={(path) => path in empty} />
    </FormFrame>
  )
}
