'use client'

import { useFormats } from '@/i18n/useFormats'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Result } from '@/core/result'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ActionButton } from '../form/ActionButton'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

/** What the simulated calendar got. */
export interface GotEvent {
  readonly uid: string
  readonly summary: string
  readonly description: string
  readonly start: Date
  readonly allDay: boolean
}

interface CalendarPanelProps {
  readonly path: string
  readonly renew: () => Promise<{ readonly problems: readonly SaidProblem[] }>
  readonly fetchIt: () => Promise<Result<readonly GotEvent[], string>>
}

/** The address to subscribe to, a new one for it, and a simulated calendar that shows what it gets. */
export function CalendarPanel({ path, renew, fetchIt }: CalendarPanelProps) {
  const formats = useFormats()
  const t = useTranslations()

  const [got, setGot] = useState<readonly GotEvent[] | null>(null)
  const { problems, busy, send } = useSending()
  const address = typeof window === 'undefined' ? path : `${window.location.origin}${path}`
  return (
    <>
      <Form.Group controlId="calendar-address">
        <Form.Label>{t('due.calendar.address')}</Form.Label>
        <Form.Control
          readOnly
          value={address}
          suppressHydrationWarning
          onFocus={(event) => event.target.select()}
        />
        <Form.Text>{t('due.calendar.addressNote')}</Form.Text>
      </Form.Group>
      <div className="chips mt-3">
        <a className="btn btn-outline-secondary" href="/api/calendar/download" download>
          {t('due.calendar.download')}
        </a>
        <ActionButton action={renew} className="btn btn-outline-secondary">
          {t('due.calendar.newAddress')}
        </ActionButton>
        <Button
          variant="outline-secondary"
          disabled={busy}
          onClick={() =>
            send(async () => {
              const answer = await fetchIt()
              if (!answer.ok) return { problems: answer.problems }
              setGot(answer.value)
              return { problems: [] }
            })
          }
        >
          {t('due.calendar.try')}
        </Button>
      </div>
      <ProblemAlert problems={problems} />
      {got && (
        <section className="month-head" aria-label={t('due.calendar.receivedLabel')}>
          <div className="section-head">
            <h2>{t('due.calendar.received')}</h2>
            <span className="number">{got.length}</span>
          </div>
          <ul className="rows">
            {got.map(({ uid, summary, description, start, allDay }) => (
              <li key={uid} className="row-item visit-row">
                <div>
                  <b>{summary}</b>
                  <p className="soft">{description}</p>
                </div>
                <span className="when">
                  {allDay ? formats.fullDay(start) : `${formats.fullDay(start)}, ${formats.timeOfDay(start)}`}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}
