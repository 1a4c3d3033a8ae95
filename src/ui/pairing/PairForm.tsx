'use client'

import { useTranslations } from 'next-intl'
import { useState, useSyncExternalStore } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { ProblemAlert } from '../form/ProblemAlert'
import { useSending } from '../form/useSending'
import { postJson } from '../form/postJson'

const onHashChange = (changed: () => void) => {
  window.addEventListener('hashchange', changed)
  return () => window.removeEventListener('hashchange', changed)
}

/** Lets this device in: the code of the desk, and what the device is called there. */
export function PairForm() {
  const t = useTranslations()

  // The camera brings the code behind the '#', which no server ever sees.
  const brought = useSyncExternalStore(
    onHashChange,
    () => location.hash.slice(1, 40),
    () => '',
  )
  const [typed, setCode] = useState<string | null>(null)
  const code = typed ?? brought
  const [name, setName] = useState('')
  const { problems, busy, send } = useSending()
  return (
    <Form
      className="pair-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => postJson('/api/pair', { code, name }, t),
          () => location.assign('/'),
        )
      }}
    >
      <Form.Group controlId="pair-code">
        <Form.Label>{t('access.pair.code')}</Form.Label>
        <Form.Control
          value={code}
          autoComplete="off"
          autoCapitalize="characters"
          required
          onChange={(event) => setCode(event.target.value)}
        />
      </Form.Group>
      <Form.Group controlId="pair-name">
        <Form.Label>{t('access.pair.name')}</Form.Label>
        <Form.Control
          value={name}
          placeholder={t('access.pair.namePlaceholder')}
          required
          onChange={(event) => setName(event.target.value)}
        />
      </Form.Group>
      <ProblemAlert problems={problems} />
      <Button type="submit" disabled={busy}>
        {t('access.pair.pair')}
      </Button>
    </Form>
  )
}
