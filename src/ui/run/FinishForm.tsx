import { useTranslations } from 'next-intl'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Leftover } from '@/core/run/leftover'
import { resultOf, visitResults, type VisitResult } from '@/core/run/visitResult'
import type { JobOutcome } from '@/core/observations/jobOutcome'
import type { FinishInput } from '@/contracts/intake'
import type { FormAction } from '../form/formAction'
import { ProblemAlert } from '../form/ProblemAlert'
import { useDraft } from '../form/useDraft'
import { useSending } from '../form/useSending'
import { formatDuration } from '@/i18n/format'
import type { DrawnWheel } from '../wheel-drawing/drawnWheel'
import { LeftoverRows } from './LeftoverRows'
import { UsedRowsLater } from './UsedRowsLater'
import { usedInput, type Correction } from './usedInput'

interface FinishFormProps {
  readonly jobId: string
  /** Whether the last taps are on the server: only then the job can be written down. */
  readonly saving: 'saved' | 'saving' | 'offline'
  /** What the work has come to; null for a job that cannot be read any more. */
  readonly outcome: JobOutcome | null
  readonly wheels: readonly DrawnWheel[]
  readonly end: FormAction<FinishInput>
  readonly back: () => void
}

/** The last step: how it went, taken from what was seen at the work and corrected with few taps. */
export function FinishForm({ jobId, saving, outcome, wheels, end, back }: FinishFormProps) {
  const t = useTranslations()

  // What the person has not touched follows what was seen.
  const [result, setResult] = useState<VisitResult | null>(null)
  const [corrected, setCorrected] = useState<readonly Leftover[] | null>(null)
  const [used, setUsed] = useState<Readonly<Record<string, Correction>>>({})
  const [note, setNote] = useState('')
  const { problems, busy, send } = useSending()
  const draft = useDraft(`finish.${jobId}`, 1, { result, corrected, used, note }, (kept) => {
    setResult(kept.result)
    setCorrected(kept.corrected)
    setUsed(kept.used)
    setNote(kept.note)
  })
  const leftovers = corrected ?? outcome?.leftovers ?? []
  const shown = result ?? resultOf(leftovers)
  const submit = () =>
    send(
      () =>
        end({
          result: shown,
          note,
          ...(corrected ? { leftovers: [...corrected] } : {}),
          used: usedInput(used),
        }),
      () => draft.forget(),
    )
  return (
    <form
      className="finish-form"
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <header>
        <h1>{t('bay.finish.title')}</h1>
        {outcome?.clockSeconds != null && (
          <p className="soft">{t('bay.finish.clock', { time: formatDuration(outcome.clockSeconds) })}</p>
        )}
      </header>
      <div className="chips" role="group" aria-label={t('bay.finish.result')}>
        {visitResults.map((choice) => (
          <button
            key={choice}
            type="button"
            className="chip finish-result"
            aria-pressed={choice === shown}
            onClick={() => setResult(choice)}
          >
            {t(`terms.result.${choice}`)}
          </button>
        ))}
      </div>
      <LeftoverRows wheels={wheels} leftovers={leftovers} change={setCorrected} />
      {outcome && outcome.used.length > 0 && (
        <UsedRowsLater used={outcome.used} corrections={used} change={setUsed} problems={problems} />
      )}
      <Form.Group controlId="finish-note">
        <Form.Label>{t('bay.finish.differently')}</Form.Label>
        <Form.Control
          as="textarea"
          rows={2}
          value={note}
          maxLength={2000}
          onChange={(event) => setNote(event.target.value)}
        />
      </Form.Group>
      <p className="soft">{t('bay.finish.explained')}</p>
      <div aria-live="polite">
        {saving === 'saving' && <p className="soft">{t('bay.finish.sending')}</p>}
        {saving === 'offline' && <p className="soft">{t('bay.finish.offline')}</p>}
        <ProblemAlert problems={problems} />
      </div>
      <div className="chips">
        <Button type="submit" disabled={busy || saving !== 'saved'} className="finish-button">
          {busy ? t('common.saving') : t('bay.finish.save')}
        </Button>
        <Button variant="outline-secondary" onClick={back} className="finish-button is-back">
          {t('bay.finish.back')}
        </Button>
      </div>
    </form>
  )
}
