'use client'

import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { TextField } from '../form/TextField'
import { useWritingForm } from '../form/useWritingForm'
import { decodeText, type DecodedText } from './decodeText'
import { ImportChanges, ImportProblems, type ImportPreview } from './ImportAnswer'

interface ImportFormProps {
  readonly look: (
    text: string,
  ) => Promise<{ problems: readonly SaidProblem[]; preview?: ImportPreview | null }>
  readonly take: (text: string, seen: string) => Promise<{ problems: readonly SaidProblem[] }>
}

/** Takes a table or a cabinet file: first a look at what it would change, then all of it or nothing. */
export function ImportForm({ look, take }: ImportFormProps) {
  const t = useTranslations()

  const [preview, setPreview] = useState<ImportPreview | null>(null)
  const [isGuessed, setGuessed] = useState(false)
  const form = useWritingForm({
    name: ['import'],
    initial: { text: '' },
    send: (_, { text }) => take(text, preview?.seen ?? ''),
  })
  const { text } = form.values
  const change = (next: string) => {
    form.change({ text: next })
    form.clearProblems()
    setPreview(null)
    setGuessed(false)
  }
  const takeUp = ({ text: read, isGuessed: guessed }: DecodedText) => {
    change(read)
    setGuessed(guessed)
  }
  const lookAtIt = () =>
    form.send(async () => {
      const seen = await look(text)
      setPreview(seen.preview ?? null)
      return seen
    })
  return (
    <FormFrame form={form} className="import-form" submit={lookAtIt}>
      <Form.Group controlId="file">
        <Form.Label>{t('cabinet.import.file')}</Form.Label>
        <Form.Control
          type="file"
          accept=".csv,.json,text/csv,application/json"
          onChange={(event) => {
            const file = (event.target as HTMLInputElement).files?.[0]
            if (file) void file.arrayBuffer().then((bytes) => takeUp(decodeText(new Uint8Array(bytes))))
          }}
        />
      </Form.Group>
      <TextField
        id="text"
        className="mt-3"
        label={t('cabinet.import.paste')}
        rows={8}
        spellCheck={false}
        value={text}
        set={change}
      />
      <div aria-live="polite">
        {isGuessed && <p className="mt-3">{t('cabinet.import.encoding')}</p>}
        <ImportProblems problems={form.problems} />
        {preview && <ImportChanges preview={preview} />}
      </div>
      <div className="chips mt-3">
        <Button type="submit" variant="outline-secondary" disabled={form.busy || text.trim() === ''}>
          {t('cabinet.import.preview')}
        </Button>
        {preview && (
          <Button disabled={form.busy} onClick={form.submit}>
            {t('cabinet.import.import')}
          </Button>
        )}
      </div>
      <FormStatus form={form} isAtField={() => true} />
    </FormFrame>
  )
}
