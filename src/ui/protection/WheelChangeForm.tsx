'use client'

import { QuantityInput } from '@/ui/form/QuantityInput'
import { DateField } from '../form/DateField'
import { useTranslations } from 'next-intl'
import { currentTime } from '@/clock'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'
import { newId } from '../newId'

interface WheelChangeFormProps {
  readonly sets: readonly { readonly id: string; readonly name: string }[]
  /** The set that is on; null: none, or nobody knows. */
  readonly mountedSetId: string | null
  readonly lastStoredWhere: string
  readonly keep: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

const numberOrNull = (text: string): number | null =>
  text.trim() === '' ? null : Number(text.replace(',', '.'))

/** Which set goes on: one tap chooses it, one keeps it. Everything else may be left out. */
export function WheelChangeForm({ sets, mountedSetId, lastStoredWhere, keep }: WheelChangeFormProps) {
  const t = useTranslations()

  const others = sets.filter(({ id }) => id !== mountedSetId)
  const [chosen, setChosen] = useState<string | null>(others.length === 1 ? (others[0]?.id ?? null) : null)
  const [storedWhere, setStoredWhere] = useState(lastStoredWhere)
  const [day, setDay] = useState('')
  const [kilometres, setKilometres] = useState('')
  const [torque, setTorque] = useState('')
  const [dateCode, setDateCode] = useState('')
  const [tread, setTread] = useState('')
  const [requestId, setRequestId] = useState(newId)
  const { problems, busy, send } = useSending()
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () =>
            keep({
              requestId,
              mountedSetId: chosen,
              at: (day === '' ? currentTime() : new Date(day)).toISOString(),
              storedWhere,
              torqueNewtonMetres: numberOrNull(torque),
              kilometres: numberOrNull(kilometres),
              dateCode,
              treadMillimetres: numberOrNull(tread),
            }),
          () => setRequestId(newId()),
        )
      }}
    >
      <div className="change-sets" role="group" aria-label={t('protection.change.whichSet')}>
        {sets.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            className="change-set"
            aria-pressed={chosen === id}
            disabled={id === mountedSetId}
            onClick={() => setChosen(id)}
          >
            <b>{name}</b>
            <span>
              {id === mountedSetId
                ? t('protection.change.isOn')
                : chosen === id
                  ? t('protection.change.goesOn')
                  : t('protection.change.stored')}
            </span>
          </button>
        ))}
        {mountedSetId !== null && (
          <button
            type="button"
            className="change-set"
            aria-pressed={chosen === null}
            onClick={() => setChosen(null)}
          >
            <b>{t('protection.change.none')}</b>
            <span>{t('protection.change.allStored')}</span>
          </button>
        )}
      </div>
      <Button type="submit" variant="primary" disabled={busy || chosen === mountedSetId}>
        {t('protection.change.save')}
      </Button>
      <ProblemAlert problems={problems} />
      <div className="field-grid">
        <Form.Group controlId="change-where">
          <Form.Label>{t('protection.change.storedWhere')}</Form.Label>
          <Form.Control
            value={storedWhere}
            maxLength={80}
            placeholder={t('protection.change.storedPlaceholder')}
            onChange={(event) => setStoredWhere(event.target.value)}
          />
        </Form.Group>
        <DateField id="change-day" label={t('protection.change.when')} value={day} set={setDay} hasTime />
        <Form.Group controlId="change-torque">
          <Form.Label>{t('protection.change.torque')}</Form.Label>
          <QuantityInput kind="torque" value={torque} set={setTorque} />
          <Form.Text>{t('protection.change.torqueNote')}</Form.Text>
        </Form.Group>
        <Form.Group controlId="change-kilometres">
          <Form.Label>{t('protection.change.odometer')}</Form.Label>
          <QuantityInput kind="distance" value={kilometres} set={setKilometres} />
        </Form.Group>
        <Form.Group controlId="change-code">
          <Form.Label>{t('protection.change.dateCode')}</Form.Label>
          <Form.Control
            value={dateCode}
            maxLength={20}
            placeholder="2423"
            onChange={(event) => setDateCode(event.target.value)}
          />
        </Form.Group>
        <Form.Group controlId="change-tread">
          <Form.Label>{t('protection.change.tread')}</Form.Label>
          <QuantityInput kind="length" value={tread} set={setTread} />
        </Form.Group>
      </div>
    </form>
  )
}
