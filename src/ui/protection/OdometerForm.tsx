'use client'

import { QuantityInput } from '@/ui/form/QuantityInput'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

interface OdometerFormProps {
  readonly keep: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

/** One reading of the odometer. */
export function OdometerForm({ keep }: OdometerFormProps) {
  const t = useTranslations()

  const [kilometres, setKilometres] = useState('')
  const { problems, busy, send } = useSending()
  return (
    <form
      className="reminder-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => keep({ kilometres: Number(kilometres.replace(/\s/g, '')), at: currentTime().toISOString() }),
          () => setKilometres(''),
        )
      }}
    >
      <Form.Group controlId="odometer">
        <Form.Label>{t('protection.odometer.label')}</Form.Label>
        <QuantityInput kind="distance" value={kilometres} required set={setKilometres} />
      </Form.Group>
      <Button type="submit" variant="outline-secondary" disabled={busy}>
        {t('protection.odometer.save')}
      </Button>
      <ProblemAlert problems={problems} />
    </form>
  )
}
