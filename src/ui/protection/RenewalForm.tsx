'use client'

import { DateField } from '../form/DateField'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import type { Position } from '@/core/wheel/position'
import { instantOfDay, localDay } from '../form/dayInput'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'
import { newId } from '../newId'
import { WheelChips } from './WheelChips'

interface RenewalFormProps {
  readonly positions: readonly Position[]
  readonly keep: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

/** Wheels that are new or were repainted: what was on them is on record, and gone. */
export function RenewalForm({ positions, keep }: RenewalFormProps) {
  const t = useTranslations()

  const [at, setAt] = useState<readonly Position[]>(positions)
  const [kind, setKind] = useState<'new' | 'repainted'>('repainted')
  const [day, setDay] = useState(() => localDay(currentTime()))
  const [requestId, setRequestId] = useState(newId)
  const { problems, busy, send } = useSending()
  return (
    <form
      className="field-grid"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => keep({ requestId, positions: at, kind, at: instantOfDay(day) }),
          () => setRequestId(newId()),
        )
      }}
    >
      <div className="is-wide">
        <WheelChips positions={positions} chosen={at} onChange={setAt} />
      </div>
      <Form.Group controlId="renewal-kind">
        <Form.Label>{t('protection.renewal.label')}</Form.Label>
        <Form.Select
          value={kind}
          onChange={(event) => setKind(event.target.value === 'new' ? 'new' : 'repainted')}
        >
          <option value="repainted">{t('protection.renewal.repainted')}</option>
          <option value="new">{t('protection.renewal.new')}</option>
        </Form.Select>
      </Form.Group>
      <DateField id="renewal-day" label={t('protection.renewal.since')} value={day} set={setDay} required />
      <div className="is-wide">
        <Button type="submit" variant="outline-secondary" disabled={busy}>
          {t('protection.renewal.save')}
        </Button>
        <ProblemAlert problems={problems} />
      </div>
    </form>
  )
}
