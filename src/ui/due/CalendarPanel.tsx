'use client'

import { format } from 'date-fns'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Problem, Result } from '@/core/result'
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
  readonly renew: () => Promise<{ readonly problems: readonly Problem[] }>
  readonly fetchIt: () => Promise<Result<readonly GotEvent[]>>
}

/** The address to subscribe to, a new one for it, and a simulated calendar that shows what it gets. */
export function CalendarPanel({ path, renew, fetchIt }: CalendarPanelProps) {
  const [got, setGot] = useState<readonly GotEvent[] | null>(null)
  const { problems, busy, send } = useSending()
  const address = typeof window === 'undefined' ? path : `${window.location.origin}${path}`
  return (
    <>
      <Form.Group controlId="calendar-address">
        <Form.Label>Address to subscribe to</Form.Label>
        <Form.Control
          readOnly
          value={address}
          suppressHydrationWarning
          onFocus={(event) => event.target.select()}
        />
        <Form.Text>Who has it can read what is due. A new address shuts the old one.</Form.Text>
      </Form.Group>
      <div className="chips mt-3">
        <a className="btn btn-outline-secondary" href="/api/calendar/download" download>
          Download
        </a>
        <ActionButton action={renew} className="btn btn-outline-secondary">
          New address
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
          Try it with the simulated calendar
        </Button>
      </div>
      <ProblemAlert problems={problems} />
      {got && (
        <section className="month-head" aria-label="What the simulated calendar got">
          <div className="section-head">
            <h2>What it got</h2>
            <span className="number">{got.length}</span>
          </div>
          <ul className="rows">
            {got.map(({ uid, summary, description, start, allDay }) => (
              <li key={uid} className="row-item visit-row">
                <div>
                  <b>{summary}</b>
                  <p className="soft">{description}</p>
                </div>
                <span className="when">{format(start, allDay ? 'd MMM yyyy' : 'd MMM yyyy, HH:mm')}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}
