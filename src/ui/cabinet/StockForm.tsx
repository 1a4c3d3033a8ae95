'use client'

import { QuantityInput } from '@/ui/form/QuantityInput'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { enteredMovements, type EnteredMovement } from '@/core/chemistry/stockMovement'
import type { SaidProblem } from '@/i18n/saidProblems'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'
import { newId } from '../newId'

interface StockFormProps {
  readonly packMillilitres: number
  readonly keep: (input: unknown) => Promise<{ readonly problems: readonly SaidProblem[] }>
}

/** The amount as typed where it is no number: the server names it then. */
const amountOf = (text: string): number | string => {
  const typed = text.trim().replace(',', '.').replace('−', '-')
  return typed === '' || !Number.isFinite(Number(typed)) ? text : Number(typed)
}

/** Enters what was bought, counted or has to be put right. */
export function StockForm({ packMillilitres, keep }: StockFormProps) {
  const t = useTranslations()

  const [kind, setKind] = useState<EnteredMovement>('bought')
  const [amount, setAmount] = useState(String(packMillilitres))
  const [note, setNote] = useState('')
  const [requestId, setRequestId] = useState(newId)
  const [said, setSaid] = useState('')
  const { problems, busy, send } = useSending()
  const choose = (next: EnteredMovement) => {
    setKind(next)
    setAmount(next === 'bought' ? String(packMillilitres) : '')
    setSaid('')
  }
  const problem = problems.find(({ path }) => path === 'millilitres')
  return (
    <form
      className="reminder-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => keep({ requestId, kind, millilitres: amountOf(amount), note }),
          () => {
            setRequestId(newId())
            setNote('')
            setSaid(t('common.saved'))
          },
        )
      }}
    >
      <Form.Group controlId="movement">
        <Form.Label>{t('cabinet.stock.what')}</Form.Label>
        <Form.Select value={kind} onChange={(event) => choose(event.target.value as EnteredMovement)}>
          {enteredMovements.map((one) => (
            <option key={one} value={one}>
              {t(`cabinet.stock.kinds.${one}.choice`)}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="amount">
        <Form.Label>{t(`cabinet.stock.kinds.${kind}.amount`)}</Form.Label>
        <QuantityInput kind="volume" value={amount} set={setAmount} isInvalid={problem !== undefined} />
        <Form.Control.Feedback type="invalid">{problem?.fix}</Form.Control.Feedback>
      </Form.Group>
      <Form.Group controlId="movement-note">
        <Form.Label>{t('cabinet.stock.note')}</Form.Label>
        <Form.Control value={note} maxLength={200} onChange={(event) => setNote(event.target.value)} />
      </Form.Group>
      <Button type="submit" disabled={busy}>
        {t('cabinet.stock.save')}
      </Button>
      <span role="status" className="soft">
        {said}
      </span>
      <ProblemAlert problems={problems.filter(({ path }) => path !== 'millilitres')} />
    </form>
  )
}
