'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { ProblemAlert } from '../form/ProblemAlert'
import type { FormAction } from '../form/formAction'
import { useSending } from '../form/useSending'

interface FolderFormProps {
  /** Empty: none; they lie in the data folder. */
  readonly chosen: string
  readonly keep: FormAction<unknown>
}

/** Chooses where backups lie. */
export function FolderForm({ chosen, keep }: FolderFormProps) {
  const t = useTranslations()

  const [folder, setFolder] = useState(chosen)
  const [isKept, setKept] = useState(false)
  const { problems, busy, send } = useSending()
  return (
    <form
      className="reminder-form"
      onSubmit={(event) => {
        event.preventDefault()
        setKept(false)
        send(
          () => keep({ folder }),
          () => setKept(true),
        )
      }}
    >
      <Form.Group controlId="backup-folder">
        <Form.Label>{t('settings.backups.folder.label')}</Form.Label>
        <Form.Control
          value={folder}
          maxLength={500}
          placeholder={t('settings.backups.folder.placeholder')}
          onChange={(event) => setFolder(event.target.value)}
        />
      </Form.Group>
      <Button type="submit" variant="outline-secondary" disabled={busy}>
        {t('settings.backups.folder.save')}
      </Button>
      <ProblemAlert problems={problems} />
      {isKept && <p role="status">{t('settings.backups.folder.saved')}</p>}
    </form>
  )
}
