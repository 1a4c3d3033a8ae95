'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Problem } from '@/core/result'
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
  readonly look: (text: string) => Promise<{ problems: readonly Problem[]; preview?: Preview | null }>
  readonly take: (text: string, seen: string) => Promise<{ problems: readonly Problem[] }>
}

/** Takes a table or a cabinet file: first a look at what it would change, then all of it or nothing. */
export function ImportForm({ look, take }: ImportFormProps) {
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
        <Form.Label>A table (CSV) or a cabinet file (JSON)</Form.Label>
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
        <Form.Label>or paste it here</Form.Label>
        <Form.Control
          as="textarea"
          rows={8}
          value={text}
          spellCheck={false}
          onChange={(event) => change(event.target.value)}
        />
      </Form.Group>
      <div aria-live="polite">
        {isGuessed && (
          <p className="mt-3">
            The file does not say how its letters are written; they were read as Windows writes them. Look
            over names with letters such as ä or é before you take it over.
          </p>
        )}
        {problems.length > 0 && (
          <div className="alert alert-danger mt-3">
            <p>
              Nothing was taken over.
              {problems.some(({ path }) => path !== 'unreachable') && ' Mend these first:'}
            </p>
            <ul>
              {problems.slice(0, 40).map(({ path, found, mend }) => (
                <li key={`${path} ${mend}`}>
                  {path && path !== 'unreachable' && <b>{path}: </b>}
                  {mend} {path !== 'unreachable' && <span className="soft">(found {found})</span>}
                </li>
              ))}
            </ul>
            {problems.length > 40 && <p>and {problems.length - 40} more.</p>}
          </div>
        )}
        {preview && (
          <div className="mt-3">
            <p>
              <b>{preview.added.length}</b> new, <b>{preview.replaced.length}</b> replaced,{' '}
              <b>{preview.tools.length}</b> tools.
            </p>
            {preview.added.length > 0 && <p className="soft">New: {preview.added.join(', ')}.</p>}
            {preview.replaced.length > 0 && <p className="soft">Replaced: {preview.replaced.join(', ')}.</p>}
          </div>
        )}
      </div>
      <div className="chips mt-3">
        <Button type="submit" variant="outline-secondary" disabled={busy || text.trim() === ''}>
          Look at it
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
            Take it over
          </Button>
        )}
      </div>
    </form>
  )
}
