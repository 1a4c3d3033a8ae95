import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { visitResultNames, visitResults, type VisitResult } from '@/core/run/visitResult'
import type { FinishInput } from '@/contracts/intake'
import type { FormAction } from '../form/formAction'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'

/** The last step: how it went, in one tap and maybe a line. */
export function FinishForm({
  jobId,
  saving,
  end,
  back,
}: {
  readonly jobId: string
  /** Whether the last taps are on the server: only then the job can be written down. */
  readonly saving: 'saved' | 'saving' | 'offline'
  readonly end: FormAction<FinishInput>
  readonly back: () => void
}) {
  const [result, setResult] = useState<VisitResult>('clean')
  const [note, setNote] = useState('')
  const { problems, busy, send } = useSending()
  const draft = useDraft(`finish.${jobId}`, 0, { result, note }, (kept) => {
    setResult(kept.result)
    setNote(kept.note)
  })
  return (
    <form
      className="finish-form"
      onSubmit={(event) => {
        event.preventDefault()
        send(
          () => end({ result, note }),
          () => draft.forget(),
        )
      }}
    >
      <h1>How did it go?</h1>
      <div className="chips" role="group" aria-label="Result">
        {visitResults.map((choice) => (
          <button
            key={choice}
            type="button"
            className="chip"
            style={{ minHeight: 64, minWidth: 110 }}
            aria-pressed={choice === result}
            onClick={() => setResult(choice)}
          >
            {visitResultNames[choice]}
          </button>
        ))}
      </div>
      <Form.Group controlId="finish-note">
        <Form.Label>What stayed, what you would do otherwise</Form.Label>
        <Form.Control
          as="textarea"
          rows={3}
          value={note}
          maxLength={2000}
          onChange={(event) => setNote(event.target.value)}
        />
      </Form.Group>
      <p className="soft">
        Writes the visit, takes what was used off the stock and starts the clocks of the protection.
      </p>
      <div aria-live="polite">
        {saving === 'saving' && <p className="soft">The last taps are on their way …</p>}
        {saving === 'offline' && (
          <p className="soft">
            No connection: the taps are kept on this device, and it is written down with them.
          </p>
        )}
        <ProblemAlert problems={problems} />
      </div>
      <div className="chips">
        <Button type="submit" disabled={busy || saving !== 'saved'} style={{ minHeight: 72, minWidth: 200 }}>
          {busy ? 'Writing …' : 'Write it down'}
        </Button>
        <Button variant="outline-secondary" onClick={back} style={{ minHeight: 72 }}>
          Back to the steps
        </Button>
      </div>
    </form>
  )
}
