'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { ProblemAlert } from '../form/ProblemAlert'
import type { FormAction } from '../form/formAction'
import { useSending } from '../form/useSending'

interface PassphraseFormProps {
  readonly isSet: boolean
  readonly change: FormAction<unknown>
}

/** A passphrase for the machine itself, where more people come by it than should. */
export function PassphraseForm({ isSet, change }: PassphraseFormProps) {
  const t = useTranslations()

  const [old, setOld] = useState('')
  const [wanted, setWanted] = useState('')
  const [said, setSaid] = useState('')
  const { problems, busy, send } = useSending()
  return (
    <Form
      className="pair-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => change({ old, wanted }),
          () => {
            setSaid(wanted === '' ? t('access.passphrase.removed') : t('access.passphrase.set'))
            setOld('')
            setWanted('')
          },
        )
      }}
    >
      <p>{isSet ? t('access.passphrase.isSet') : t('access.passphrase.none')}</p>
      {isSet && (
        <Form.Group controlId="passphrase-old">
          <Form.Label>{t('access.passphrase.current')}</Form.Label>
          <Form.Control
            type="password"
            autoComplete="current-password"
            value={old}
            onChange={(event) => setOld(event.target.value)}
          />
        </Form.Group>
      )}
      <Form.Group controlId="passphrase-new">
        <Form.Label>{isSet ? t('access.passphrase.new') : t('access.passphrase.label')}</Form.Label>
        <Form.Control
          type="password"
          autoComplete="new-password"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
      </Form.Group>
      <ProblemAlert problems={problems} />
      <p role="status">{said}</p>
      <Button type="submit" variant="outline-secondary" disabled={busy}>
        {isSet ? t('access.passphrase.change') : t('access.passphrase.save')}
      </Button>
    </Form>
  )
}
