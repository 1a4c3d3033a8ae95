'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { postJson } from '../form/postJson'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'

/** Opens the desk with its passphrase. */
export function UnlockForm() {
  const t = useTranslations()

  const [passphrase, setPassphrase] = useState('')
  const { problems, busy, send } = useSending()
  return (
    <Form
      className="pair-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => postJson('/api/unlock', { passphrase }, t),
          () => location.assign('/'),
        )
      }}
    >
      <Form.Group controlId="unlock-passphrase">
        <Form.Label>{t('access.unlock.passphrase')}</Form.Label>
        <Form.Control
          type="password"
          autoComplete="current-password"
          value={passphrase}
          onChange={(event) => setPassphrase(event.target.value)}
        />
      </Form.Group>
      <ProblemAlert problems={problems} />
      <Button type="submit" disabled={busy}>
        {t('access.unlock.unlock')}
      </Button>
    </Form>
  )
}
