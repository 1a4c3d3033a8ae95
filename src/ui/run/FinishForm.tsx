import { useTranslations } from 'next-intl'
import Button from 'react-bootstrap/Button'
import type { Leftover } from '@/core/run/leftover'
import { resultOf, visitResults, type VisitResult } from '@/core/run/visitResult'
import type { JobOutcome } from '@/core/observations/jobOutcome'
import type { FinishInput } from '@/contracts/intake'
import type { FormAction } from '../form/formAction'
import { FormFrame } from '../form/FormFrame'
import { FormStatus } from '../form/FormStatus'
import { SubmitButton } from '../form/SubmitButton'
import { TextField } from '../form/TextField'
import { useWritingForm } from '../form/useWritingForm'
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

/** What the person has not touched, null or left out, follows what was seen. */
interface FinishValues {
  readonly result: VisitResult | null
  readonly corrected: readonly Leftover[] | null
  readonly used: Readonly<Record<string, Correction>>
  readonly note: string
}

/** The last step: how it went, taken from what was seen at the work and corrected with few taps. */
export function FinishForm({ jobId, saving, outcome, wheels, end, back }: FinishFormProps) {
  const t = useTranslations()

  const leftoversOf = ({ corrected }: FinishValues): readonly Leftover[] =>
    corrected ?? outcome?.leftovers ?? []
  const resultShown = (values: FinishValues): VisitResult => values.result ?? resultOf(leftoversOf(values))
  const form = useWritingForm<FinishValues>({
    name: ['finish', jobId],
    version: 1,
    initial: { result: null, corrected: null, used: {}, note: '' },
    inputOf: (values): FinishInput => ({
      result: resultShown(values),
      note: values.note,
      ...(values.corrected ? { leftovers: [...values.corrected] } : {}),
      used: usedInput(values.used),
    }),
    send: end,
  })
  const { values, change, problems } = form
  const shown = resultShown(values)
  return (
    <FormFrame form={form} className="finish-form">
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
            onClick={() => change({ result: choice })}
          >
            {t(`terms.result.${choice}`)}
          </button>
        ))}
      </div>
      <LeftoverRows
        wheels={wheels}
        leftovers={leftoversOf(values)}
        change={(corrected) => change({ corrected })}
      />
      {outcome && outcome.used.length > 0 && (
        <UsedRowsLater
          used={outcome.used}
          corrections={values.used}
          change={(used) => change({ used })}
          problems={problems}
        />
      )}
      <TextField
        id="finish-note"
        label={t('bay.finish.differently')}
        rows={2}
        maxLength={2000}
        {...form.at('note')}
      />
      <p className="soft">{t('bay.finish.explained')}</p>
      <div aria-live="polite">
        {saving === 'saving' && <p className="soft">{t('bay.finish.sending')}</p>}
        {saving === 'offline' && <p className="soft">{t('bay.finish.offline')}</p>}
      </div>
      <FormStatus form={form} isAtField={(path) => path === 'note'} />
      <div className="chips">
        <SubmitButton form={form} disabled={saving !== 'saved'} className="finish-button">
          {t('bay.finish.save')}
        </SubmitButton>
        <Button variant="outline-secondary" onClick={back} className="finish-button is-back">
          {t('bay.finish.back')}
        </Button>
      </div>
    </FormFrame>
  )
}
