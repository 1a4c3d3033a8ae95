'use client'

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
        <Form.Label>Another folder, best on another disk</Form.Label>
        <Form.Control
          value={folder}
          maxLength={500}
          placeholder="in the data folder"
          onChange={(event) => setFolder(event.target.value)}
        />
      </Form.Group>
      <Button type="submit" variant="outline-secondary" disabled={busy}>
        Keep them there
      </Button>
      <ProblemAlert problems={problems} />
      {isKept && <p role="status">The next one goes there; those that are made stay where they are.</p>}
    </form>
  )
}
