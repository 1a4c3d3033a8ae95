'use client'

import { useTranslations } from 'next-intl'
import { format } from 'date-fns'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Problem } from '@/core/result'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

interface PlannedForProps {
  readonly plannedFor: Date | null
  readonly plan: (input: unknown) => Promise<{ readonly problems: readonly Problem[] }>
}

/** The day and the hour of a job; stands in Today and in the calendar. */
export function PlannedFor({ plannedFor, plan }: PlannedForProps) {
  const t = useTranslations()

  const [at, setAt] = useState(() => (plannedFor ? format(plannedFor, "yyyy-MM-dd'T'HH:mm") : ''))
  const [said, setSaid] = useState('')
  const { problems, busy, send } = useSending()
  return (
    <form
      className="reminder-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => plan({ plannedFor: at === '' ? null : new Date(at).toISOString() }),
          () => setSaid(at === '' ? t('plan.plannedFor.removed') : t('plan.plannedFor.saved')),
        )
      }}
    >
      <Form.Group controlId="planned-for">
        <Form.Label>{t('plan.plannedFor.label')}</Form.Label>
        <Form.Control
          type="datetime-local"
          value={at}
          suppressHydrationWarning
          onChange={(event) => setAt(event.target.value)}
        />
      </Form.Group>
      <Button type="submit" variant="outline-secondary" disabled={busy}>
        {t('plan.plannedFor.save')}
      </Button>
      <span role="status" className="soft">
        {said}
      </span>
      <ProblemAlert problems={problems} />
    </form>
  )
}
