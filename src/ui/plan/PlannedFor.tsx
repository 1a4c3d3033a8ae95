'use client'

import { DateField } from '../form/DateField'
import { useTranslations } from 'next-intl'
import { format } from 'date-fns'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

interface PlannedForProps {
  readonly plannedFor: Date | null
  readonly plan: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
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
      <DateField id="planned-for" label={t('plan.plannedFor.label')} value={at} set={setAt} hasTime />
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
