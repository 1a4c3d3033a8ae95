'use client'

import { bold } from '@/i18n/rich'
import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SaidProblem } from '@/i18n/saidProblems'
import { DraftNote } from '../form/DraftNote'
import { decodeText, type DecodedText } from './decodeText'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'

/** What an import would do, before anything is written. */
interface Preview {
  readonly added: readonly string[]
  readonly replaced: readonly string[]
  readonly tools: readonly string[]
  /** Goes along when it is taken over. */
  readonly seen: string
}

interface ImportFormProps {
  readonly look: (text: string) => Promise<{ problems: readonly SaidProblem[]; preview?: Preview | null }>
  readonly take: (text: string, seen: string) => Promise<{ problems: readonly SaidProblem[] }>
}

/** Takes a table or a cabinet file: first a look at what it would change, then all of it or nothing. */
export function ImportForm({ look, take }: ImportFormProps) {
  const t = useTranslations()

  const [text, setText] = useState('')
  const [preview, setPreview] = useState<Preview | null>(null)
  const [isGuessed, setGuessed] = useState(false)
  const { problems, busy, setProblems, send } = useSending()
  const draft = useDraft('import', 0, { text }, (kept) => setText(kept.text))
  const change = (next: string) => {
    setText(next)
    setPreview(null)
    setGuessed(false)
    setProblems([])
  }
  const takeUp = ({ text: read, isGuessed: guessed }: DecodedText) => {
    change(read)
    setGuessed(guessed)
  }
  return (
    <form
      className="import-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(async () => {
          const seen = await look(text)
          setPreview(seen.preview ?? null)
          return seen
        })
      }}
    >
      <DraftNote draft={draft} />
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
      <Form.Group controlId="text" className="mt-3">
        <Form.Label>{t('cabinet.import.paste')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={8}
          value={text}
          spellCheck={false}
          onChange={(event) => change(event.target.value)}
        />
      </Form.Group>
      <div aria-live="polite">
        {isGuessed && <p className="mt-3">{t('cabinet.import.encoding')}</p>}
        {problems.length > 0 && (
          <div className="alert alert-danger mt-3">
            <p>
              {t('cabinet.import.nothingImported', {
                fix: String(problems.some(({ path }) => path !== 'unreachable')),
              })}
            </p>
            <ul>
              {problems.slice(0, 40).map(({ path, found, fix }) => (
                <li key={`${path} ${fix}`}>
                  {path && path !== 'unreachable' && <b>{path}: </b>}
                  {fix}{' '}
                  {path !== 'unreachable' && (
                    <span className="soft">{t('cabinet.import.found', { found })}</span>
                  )}
                </li>
              ))}
            </ul>
            {problems.length > 40 && (
              <p>{t('cabinet.import.moreProblems', { count: problems.length - 40 })}</p>
            )}
          </div>
        )}
        {preview && (
          <div className="mt-3">
            <p>
              {t.rich('cabinet.import.counts', {
                added: preview.added.length,
                replaced: preview.replaced.length,
                tools: preview.tools.length,
                b: bold,
              })}
            </p>
            {preview.added.length > 0 && (
              <p className="soft">{t('cabinet.import.newNames', { names: preview.added.join(', ') })}</p>
            )}
            {preview.replaced.length > 0 && (
              <p className="soft">
                {t('cabinet.import.replacedNames', { names: preview.replaced.join(', ') })}
              </p>
            )}
          </div>
        )}
      </div>
      <div className="chips mt-3">
        <Button type="submit" variant="outline-secondary" disabled={busy || text.trim() === ''}>
          {t('cabinet.import.preview')}
        </Button>
        {preview && (
          <Button
            disabled={busy}
            onClick={() =>
              send(
                () => take(text, preview.seen),
                () => draft.forget(),
              )
            }
          >
            {t('cabinet.import.import')}
          </Button>
        )}
      </div>
    </form>
  )
}
