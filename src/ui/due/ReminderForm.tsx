'use client'

import { DateField } from '../form/DateField'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'
import { newId } from '../newId'

interface ReminderFormProps {
  readonly wheelSetId: string | null
  readonly keep: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

/** A reminder of one's own: what, when, and whether it comes round. */
export function ReminderForm({ wheelSetId, keep }: ReminderFormProps) {
  const t = useTranslations()

  const [about, setAbout] = useState('')
  const [dueOn, setDueOn] = useState('')
  const [repeat, setRepeat] = useState('')
  const [requestId, setRequestId] = useState(newId)
  const { problems, busy, send } = useSending()
  return (
    <form
      className="reminder-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () =>
            keep({ requestId, wheelSetId, about, dueOn, repeatDays: repeat === '' ? null : Number(repeat) }),
          () => {
            setAbout('')
            setRequestId(newId())
          },
        )
      }}
    >
      <Form.Group controlId="reminder-about">
        <Form.Label>{t('due.reminder.what')}</Form.Label>
        <Form.Control
          value={about}
          maxLength={120}
          required
          onChange={(event) => setAbout(event.target.value)}
        />
      </Form.Group>
      <DateField id="reminder-day" label={t('due.reminder.on')} value={dueOn} set={setDueOn} required />
      <Form.Group controlId="reminder-repeat">
        <Form.Label>{t('due.reminder.every')}</Form.Label>
        <Form.Control
          inputMode="numeric"
          value={repeat}
          placeholder={t('due.reminder.once')}
          onChange={(event) => setRepeat(event.target.value)}
        />
      </Form.Group>
      <Button type="submit" variant="outline-secondary" disabled={busy}>
        {t('due.reminder.save')}
      </Button>
      <ProblemAlert problems={problems} />
    </form>
  )
}
